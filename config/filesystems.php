<?php

declare(strict_types=1);

return [
    'default' => 'local',
    'disks' => [
        // page and queue run as different users of one group; nobody else reads what a shop keeps
        'local' => [
            'driver' => 'local',
            'root' => storage_path('app/private'),
            'throw' => false,
            'permissions' => ['file' => ['public' => 0660, 'private' => 0660], 'dir' => ['public' => 02770, 'private' => 02770]],
        ],
    ],
];
