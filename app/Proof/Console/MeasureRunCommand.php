<?php

declare(strict_types=1);

namespace App\Proof\Console;

use App\Intake\Job;
use App\Proof\Run\ProofRun;
use App\Proof\Run\RunQuery;
use App\Shop\Person;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use OddBench\Proof\Run\Packed;
use OddBench\Proof\Run\Sample;

final class MeasureRunCommand extends Command
{
    private const HOURS = 12;

    protected $signature = 'odd-bench:measure-run {--runs=15}';

    protected $description = 'How long the chart of a long proof run takes to load; what it makes up for that is taken back';

    public function handle(RunQuery $runs): int
    {
        $job = Job::query()->with('machine')->orderByDesc('id')->first();
        $person = Person::query()->first();
        if ($job === null || $person === null) {
            $this->line('No job in the database: the chart of a run is not measured. Try it on the demo shop.');

            return self::SUCCESS;
        }
        DB::beginTransaction();
        try {
            $run = ProofRun::query()->create([
                'job_id' => $job->id,
                'machine_id' => $job->machine_id,
                'stages' => ['long'],
                'state' => 'passed',
                'results' => (object) [],
                'person_id' => $person->id,
                'began_at' => now(),
                'ended_at' => now(),
            ]);
            $this->fill($run);
            $times = [];
            $json = '';
            for ($i = 0; $i < max(3, (int) $this->option('runs')); $i++) {
                $before = hrtime(true);
                $json = json_encode($runs->of($job), JSON_THROW_ON_ERROR);
                $times[] = (hrtime(true) - $before) / 1e6;
            }
            sort($times);
            $this->line(sprintf(
                'chart of a %d h run at 1 Hz: median %.0f ms, slowest %.0f ms (asked: under 300); %.0f kB kept, %.0f kB sent',
                self::HOURS,
                $times[intdiv(count($times), 2)],
                end($times),
                (int) DB::table('proof_samples')->where('proof_run_id', $run->id)
                    ->selectRaw('sum(length(samples)) AS kept')
                    ->value('kept') / 1000,
                strlen($json) / 1000,
            ));
        } finally {
            DB::rollBack();
        }

        return self::SUCCESS;
    }

    private function fill(ProofRun $run): void
    {
        for ($minute = 0; $minute < self::HOURS * 60; $minute++) {
            $samples = [];
            for ($s = 0; $s < 60; $s++) {
                $t = $minute * 60.0 + $s;
                $samples[] = new Sample($t, 200 + 0.6 * sin($t / 9), 200, 60 + 0.4 * sin($t / 40), 60, 0.4, 0.3);
            }
            DB::statement(
                'INSERT INTO proof_samples (proof_run_id, minute, samples) VALUES (?, ?, decode(?, \'hex\'))',
                [$run->id, $minute, bin2hex(Packed::pack($samples))],
            );
        }
    }
}
