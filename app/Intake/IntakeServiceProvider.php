<?php

declare(strict_types=1);

namespace App\Intake;

use App\Shop\HearsLeaving;
use Illuminate\Support\ServiceProvider;

final class IntakeServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(JobStates::class);
        $this->app->tag(HandsDown::class, HearsLeaving::TAG);
        $this->app->when(WalkQuery::class)->needs('$rooms')->giveTagged(SaysOfWalk::TAG);
        $this->app->when(BookIn::class)->needs('$rooms')->giveTagged(HearsBooking::TAG);
    }
}
