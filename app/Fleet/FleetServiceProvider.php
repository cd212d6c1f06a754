<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Diagnosis\Findings\HearsChecks;
use Illuminate\Support\ServiceProvider;

final class FleetServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->tag([LookedInJob::class], HearsChecks::TAG);
    }
}
