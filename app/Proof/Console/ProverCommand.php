<?php

declare(strict_types=1);

namespace App\Proof\Console;

use App\Proof\CountRun;
use App\Proof\KeepRises;
use App\Proof\ProofRun;
use App\Proof\Prover;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use OddBench\Knowledge\Knowledge;
use Throwable;

/** The one process that speaks with every printer under proof. */
final class ProverCommand extends Command
{
    protected $signature = 'odd-bench:prover {--for= : stop after so many seconds}';

    protected $description = 'Runs proof runs with connected printers';

    public function handle(Knowledge $knowledge, CountRun $count, KeepRises $rises): int
    {
        $until = $this->option('for') === null ? INF : microtime(true) + (float) $this->option('for');
        /** @var array<int, Prover> $runs machine id => */
        $runs = [];
        $looked = 0.0;
        // a run under way is seen to its end first
        while (microtime(true) < $until || $runs !== []) {
            if (microtime(true) - $looked > 0.8 && microtime(true) < $until) {
                $looked = microtime(true);
                foreach (ProofRun::query()->with(['job.machine', 'person'])->whereNull('ended_at')->whereNotIn('machine_id', array_keys($runs))->get() as $row) {
                    $held = DB::selectOne('SELECT pg_try_advisory_lock(?, ?) AS held', [0x0DD, $row->machine_id]);
                    if (($held->held ?? false) === true) {
                        $runs[$row->machine_id] = Prover::of($row, $knowledge, $count, $rises);
                    }
                }
            }
            foreach ($runs as $machine => $run) {
                if (! $this->turn($run)) {
                    unset($runs[$machine]);
                    DB::select('SELECT pg_advisory_unlock(?, ?)', [0x0DD, $machine]);
                }
            }
            $this->rest($runs);
        }

        return self::SUCCESS;
    }

    /**
     * Until a printer says something, or for a moment.
     *
     * @param  array<int, Prover>  $runs
     */
    private function rest(array $runs): void
    {
        $read = array_filter(array_map(static fn (Prover $run) => $run->socket(), $runs), is_resource(...));
        $write = $except = null;
        if ($read === [] || @stream_select($read, $write, $except, 0, 30_000) === false) {
            usleep($runs === [] ? 400_000 : 30_000);
        }
    }

    private function turn(Prover $run): bool
    {
        try {
            return $run->turn();
        } catch (Throwable $e) {
            Log::error($e);
            ProofRun::query()->where('id', $run->id())->update(['state' => 'lost', 'ended_at' => now(), 'said' => 'The runner met a fault of its own; what was measured is kept. Look at the printer: switch its heaters off.']);

            return false;
        }
    }
}
