<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Diagnosis\Findings\HearsChecks;
use App\Diagnosis\Findings\PutDownTold;
use App\Diagnosis\Findings\PutFinding;
use App\Diagnosis\Findings\RecordFinding;
use App\Diagnosis\Ranking\OpenedCases;
use App\Intake\Findings;
use App\Intake\HearsBooking;
use App\Intake\SaysOfWalk;
use Illuminate\Support\ServiceProvider;

final class DiagnosisServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->tag([DiagnosisOnWalk::class], SaysOfWalk::TAG);
        $this->app->tag([PutDownTold::class], HearsBooking::TAG);
        $this->app->bind(Findings::class, PutFinding::class);
        $this->app->scoped(OpenedCases::class);
        $this->app->when(RecordFinding::class)->needs('$rooms')->giveTagged(HearsChecks::TAG);
    }
}
