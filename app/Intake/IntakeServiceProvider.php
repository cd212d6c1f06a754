<?php

declare(strict_types=1);

namespace App\Intake;

use App\Machines\KeepsHistory;
use App\Machines\StandsAgainst;
use App\Shop\HearsLeaving;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\Events\TransactionRolledBack;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

final class IntakeServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(JobStates::class);
        $this->app->singleton(TableWatch::class);
        $this->app->scoped(ReadOnce::class);
        $this->app->singleton(LaterSteps::class);
        $this->app->bind(KeepsHistory::class, MachineHistory::class);
        $this->app->tag(MachineHistory::class, StandsAgainst::TAG);
        $this->app->tag(HandsDown::class, HearsLeaving::TAG);
        $this->app->when(WalkQuery::class)->needs('$rooms')->giveTagged(SaysOfWalk::TAG);
        $this->app->when(BookIn::class)->needs('$rooms')->giveTagged(HearsBooking::TAG);
    }

    public function boot(TableWatch $watch): void
    {
        Event::listen(static fn (QueryExecuted $asked) => $watch->heard($asked->sql));
        Event::listen(static fn (TransactionRolledBack $back) => $watch->undone());
    }
}
