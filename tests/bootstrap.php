<?php

declare(strict_types=1);

// A place of its own for logs and caches, so that a test run leaves the site alone.
$state = sys_get_temp_dir().'/odd-bench-phpunit-'.getmypid();
putenv("ODD_BENCH_STATE={$state}");
register_shutdown_function(static function () use ($state): void {
    exec('rm -rf '.escapeshellarg($state));
});

require __DIR__.'/../vendor/autoload.php';
