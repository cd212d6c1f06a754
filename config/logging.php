<?php

declare(strict_types=1);

return [
    'default' => 'all',
    'channels' => [
        // a log that cannot be written (the disk is full) must not keep an answer from being given
        'all' => ['driver' => 'stack', 'channels' => ['daily'], 'ignore_exceptions' => true],
        // page and queue run as different users of one group
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/laravel.log'), 'level' => env('LOG_LEVEL', 'debug'), 'days' => 14, 'permission' => 0660, 'replace_placeholders' => true],
    ],
];
