<?php

declare(strict_types=1);

// A place of its own for logs and caches, so that a test run leaves the site alone.
$state = sys_get_temp_dir().'/odd-bench-phpunit-'.getmypid();
putenv("ODD_BENCH_STATE={$state}");
register_shutdown_function(static function () use ($state): void {
    exec('rm -rf '.escapeshellarg($state));
});

// Suites that run beside each other have a database each; without a name it is the one phpunit.xml says.
$database = getenv('TEST_DATABASE');
if (is_string($database) && str_starts_with($database, 'odd_bench_')) {
    putenv("DB_DATABASE={$database}");
    $_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = $database;
}

require __DIR__.'/../vendor/autoload.php';
