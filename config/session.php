<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    'lifetime' => 60 * 12,
    'expire_on_close' => false,
    'encrypt' => false,
    'table' => 'sessions',
    // odd-bench:prune takes the old ones away
    'lottery' => [0, 100],
    'cookie' => 'odd_bench_session',
    'path' => '/',
    'domain' => null,
    'secure' => env('SESSION_SECURE_COOKIE', false),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
