<?php

declare(strict_types=1);

namespace App\Repair;

use App\Intake\SaysOfWalk;
use App\Stock\Orders\WorkAhead;
use Illuminate\Support\ServiceProvider;

final class RepairServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->tag([RepairOnWalk::class], SaysOfWalk::TAG);
        $this->app->bind(WorkAhead::class, PlanAhead::class);
    }
}
