<?php

declare(strict_types=1);

return [
    'default' => 'all',
    'channels' => [
        // a log that cannot be written (the disk is full) must not keep an answer from being given
        'all' => ['driver' => 'stack', 'channels' => ['daily'], 'ignore_exceptions' => true],
        // page and queue run as different users of one group
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/laravel.log'), 'level' => env('LOG_LEVEL', 'debug'), 'days' => 14, 'permission' => 0660, 'replace_placeholders' => true],
        // who called what from where, for a month
        'access' => ['driver' => 'stack', 'channels' => ['access-file'], 'ignore_exceptions' => true],
        'access-file' => [
            'driver' => 'daily', 'path' => storage_path('logs/access.log'), 'level' => 'info', 'days' => 30, 'permission' => 0660,
            'formatter' => Monolog\Formatter\LineFormatter::class,
            'formatter_with' => ['format' => "%datetime% %message%\n", 'dateFormat' => 'Y-m-d\TH:i:s.vP'],
        ],
    ],
];
