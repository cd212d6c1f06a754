<?php

declare(strict_types=1);

namespace App\Machines;

use App\Machines\Owners\AllTold;
use App\Machines\Owners\EraseOwner;
use App\Machines\Owners\SaysToOwner;
use Illuminate\Support\ServiceProvider;

final class MachinesServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // what was worked out of counters is asked for by several parts of a screen
        $this->app->scoped(HoursQuery::class);
        $this->app->when(ChangeMachine::class)->needs('$rooms')->giveTagged(StandsAgainst::TAG);
        $this->app->when(AskPrinter::class)->needs('$rooms')->giveTagged(KeepsPrinter::TAG);
        $this->app->when(EraseOwner::class)->needs('$rooms')->giveTagged(SaysToOwner::TAG);
        $this->app->when(AllTold::class)->needs('$rooms')->giveTagged(SaysToOwner::TAG);
    }
}
