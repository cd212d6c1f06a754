<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'database'),
    // counts of tries: they are no part of a write, and stay when it is undone
    'limiter' => 'tries',
    'stores' => [
        'tries' => ['driver' => env('MEMO_DRIVER', 'file'), 'path' => storage_path('framework/tries'), 'serialize' => false],
        // what a page server remembers for itself for a minute
        'memo' => ['driver' => env('MEMO_DRIVER', 'file'), 'path' => storage_path('framework/cache'), 'serialize' => false],
        'array' => ['driver' => 'array', 'serialize' => false],
        'database' => ['driver' => 'database', 'table' => 'cache', 'lock_table' => 'cache_locks'],
    ],
    'prefix' => 'odd_bench',
];
