<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync', 'after_commit' => true],
        // The table “jobs” is the bench’s own, so the queue’s is called otherwise.
        // What a write leaves to be done is committed with it.
        'database' => ['driver' => 'database', 'table' => 'queued_jobs', 'queue' => 'default', 'retry_after' => 90, 'after_commit' => false],
    ],
    'batching' => ['database' => env('DB_CONNECTION', 'pgsql'), 'table' => 'queued_batches'],
    'failed' => ['driver' => 'database-uuids', 'database' => env('DB_CONNECTION', 'pgsql'), 'table' => 'queued_failures'],
];
