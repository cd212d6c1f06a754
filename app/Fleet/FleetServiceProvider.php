<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Diagnosis\Findings\HearsChecks;
use App\Fleet\Campaigns\LookedInJob;
use App\Fleet\Farm\KeepRacks;
use App\Fleet\Hold\TellIfItHolds;
use App\Fleet\Risks\Costs;
use App\Fleet\Risks\ForetoldUse;
use App\Fleet\Risks\Stale;
use App\Machines\Counter;
use App\Machines\Fitting;
use App\Machines\KnowsIfItHolds;
use App\Machines\Machine;
use App\Machines\Place;
use App\Machines\ServiceDone;
use App\Repair\Service\PlannedChange;
use App\Stock\Orders\ForetellsUse;
use Illuminate\Support\ServiceProvider;

final class FleetServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->tag([LookedInJob::class], HearsChecks::TAG);
        $this->app->scoped(Costs::class);
        $this->app->scoped(Stale::class);
        $this->app->bind(ForetellsUse::class, ForetoldUse::class);
        $this->app->bind(KnowsIfItHolds::class, TellIfItHolds::class);
    }

    /** What was foretold of a machine holds until something changes on it. */
    public function boot(): void
    {
        Fitting::saved(fn (Fitting $f) => $this->changed($f->machine_id));
        Fitting::deleted(fn (Fitting $f) => $this->changed($f->machine_id));
        Counter::saved(fn (Counter $c) => $this->changed($c->machine_id));
        ServiceDone::saved(fn (ServiceDone $s) => $this->changed($s->machine_id));
        // what a job is to change is promised, and foretold no longer
        PlannedChange::saved(fn (PlannedChange $c) => $this->changed($c->job->machine_id));
        Machine::updated(function (Machine $m): void {
            if ($m->wasChanged(['hours', 'family', 'place', 'prints_abrasive', 'prints_hot'])) {
                $this->changed($m->id);
            }
            if ($m->wasChanged('place') && Place::from($m->place)->isGone()) {
                $this->app->make(KeepRacks::class)->takeOut($m);
            }
        });
    }

    private function changed(int $machine): void
    {
        $this->app->make(Stale::class)->mark($machine);
    }
}
