<?php

declare(strict_types=1);

namespace App\Machines;

use Illuminate\Support\ServiceProvider;

final class MachinesServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // what was worked out of counters is asked for by several parts of a screen
        $this->app->scoped(HoursQuery::class);
    }
}
