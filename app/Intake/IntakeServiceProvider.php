<?php

declare(strict_types=1);

namespace App\Intake;

use App\Machines\KeepsHistory;
use App\Machines\StandsAgainst;
use App\Shop\HearsLeaving;
use Illuminate\Support\ServiceProvider;

final class IntakeServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(JobStates::class);
        $this->app->bind(KeepsHistory::class, MachineHistory::class);
        $this->app->tag(MachineHistory::class, StandsAgainst::TAG);
        $this->app->tag(HandsDown::class, HearsLeaving::TAG);
        $this->app->when(WalkQuery::class)->needs('$rooms')->giveTagged(SaysOfWalk::TAG);
        $this->app->when(BookIn::class)->needs('$rooms')->giveTagged(HearsBooking::TAG);
    }
}
