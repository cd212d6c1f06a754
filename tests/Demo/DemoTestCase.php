<?php

declare(strict_types=1);

namespace Tests\Demo;

use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase;

/** On the demo shop as it was played. */
abstract class DemoTestCase extends TestCase
{
    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();
        config(['database.connections.pgsql.database' => getenv('DEMO_DATABASE') ?: 'odd_bench']);

        return $app;
    }
}
