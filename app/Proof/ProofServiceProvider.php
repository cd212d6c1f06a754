<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\SaysOfWalk;
use App\Machines\KeepsPrinter;
use App\Proof\Runner\Prover;
use App\Proof\Runner\RunFiles;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\ServiceProvider;

final class ProofServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->tag([ProofOnWalk::class], SaysOfWalk::TAG);
        $this->app->tag(RunsKeepPrinters::class, KeepsPrinter::TAG);
        $this->app->bind(RunFiles::class, static fn (): RunFiles => new RunFiles(storage_path('app/runs')));
        $this->app->bind(
            Prover::class,
            static fn (Application $app): Prover => new Prover(
                $app->make(RunFiles::class),
                max(1.0, (float) config('odd-bench.prover_speed')),
            ),
        );
    }
}
