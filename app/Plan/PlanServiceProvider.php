<?php

declare(strict_types=1);

namespace App\Plan;

use App\Intake\SaysNextStep;
use Illuminate\Support\ServiceProvider;

final class PlanServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(SaysNextStep::class, NextStep::class);
    }
}
