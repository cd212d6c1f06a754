<?php

declare(strict_types=1);

namespace App\Proof\Console;

use App\Proof\Runner\Clock;
use App\Proof\Runner\Prover;
use Illuminate\Console\Command;

/** The one process that speaks with every printer under proof. */
final class ProverCommand extends Command
{
    /** s it has to switch everything off when it is asked to go; who starts it waits longer than that. */
    private const LEAVES_IN_S = 8.0;

    protected $signature = 'odd-bench:prover {--for= : stop after so many seconds, and after what runs then}';

    protected $description = 'Runs proof runs with connected printers; needs no database';

    public function handle(Prover $prover): int
    {
        $until = $this->option('for') === null ? INF : Clock::s() + (float) $this->option('for');
        $going = false;
        pcntl_async_signals(true);
        foreach ([SIGTERM, SIGINT] as $signal) {
            pcntl_signal($signal, static function () use (&$going): void {
                $going = true;
            });
        }
        // another one may still be going; what it left is taken up when it is gone
        while (! $prover->only() && ! $going && Clock::s() < $until) {
            usleep(100_000);
        }
        while (! $going && (Clock::s() < $until || $prover->busy())) {
            $prover->turn(Clock::s() < $until);
            $prover->rest();
        }
        $prover->leave(self::LEAVES_IN_S);

        return self::SUCCESS;
    }
}
