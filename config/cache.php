<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'database'),
    'stores' => [
        // what a page server remembers for itself for a minute
        'memo' => ['driver' => env('MEMO_DRIVER', 'file'), 'path' => storage_path('framework/cache'), 'serialize' => false],
        'array' => ['driver' => 'array', 'serialize' => false],
        'database' => ['driver' => 'database', 'table' => 'cache', 'lock_table' => 'cache_locks'],
    ],
    'prefix' => 'odd_bench',
];
