<?php

declare(strict_types=1);

return [
    'default' => 'pgsql',
    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '8431'),
            'database' => env('DB_DATABASE', 'odd_bench'),
            'username' => env('DB_USERNAME', 'odd_bench'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'search_path' => 'public',
            'sslmode' => env('DB_SSLMODE', 'prefer'),
            'timezone' => 'UTC',
            // a question and its values go together, in one way there and back where a prepared one takes three; every question here
            // is asked once. The page keeps its connections between requests; what runs in a shell has one of its own
            'options' => [PDO::PGSQL_ATTR_DISABLE_PREPARES => true]
                + (getenv('ODD_BENCH_ENV') === '.env.web' ? [PDO::ATTR_PERSISTENT => true] : []),
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
