<?php

declare(strict_types=1);

namespace App\Safety;

use App\Intake\SaysOfWalk;
use App\Machines\KeepsPrinter;
use App\Machines\StandsAgainst;
use Illuminate\Support\ServiceProvider;

final class SafetyServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->tag(TagsStandAgainst::class, StandsAgainst::TAG);
        $this->app->tag(TagsKeepPrinters::class, KeepsPrinter::TAG);
        $this->app->tag([SafetyOnWalk::class], SaysOfWalk::TAG);
    }
}
