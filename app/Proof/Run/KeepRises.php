<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Intake\Job;
use App\Machines\Machine;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** How long a well machine takes to warm up, as a run measured it: kept at release, held against later. */
final readonly class KeepRises
{
    /** stage => class of the part whose resistance would lengthen it */
    private const PARTS = ['hotend-hold' => 'heater-cartridge', 'bed-hold' => 'bed-connector'];

    private const INSTRUMENT = 'contact-resistance';

    public function __construct(private Knowledge $knowledge)
    {
    }

    /** Inside a running write: what the newest run of this job measured. */
    public function of(Job $job): void
    {
        $run = ProofRun::query()->where('job_id', $job->id)->orderByDesc('id')->first();
        foreach (self::PARTS as $stage => $class) {
            $result = $run->results[$stage] ?? null;
            if ($run !== null && $result !== null && $result['passed'] && $result['rise'] !== null) {
                DB::table('baselines')->insert([
                    'machine_id' => $job->machine_id,
                    'proof_run_id' => $run->id,
                    'job_id' => $job->id,
                    'instrument' => self::INSTRUMENT,
                    'position' => $this->position($job->machine, $class),
                    'value' => $result['rise'],
                    'unit' => 's',
                    'at' => now(),
                ]);
            }
        }
    }

    /** Seconds the bed took when the machine was last sent out well; nothing when nobody measured it. */
    public function bed(Machine $machine): ?float
    {
        $value = DB::table('baselines')->where([
            'machine_id' => $machine->id,
            'instrument' => self::INSTRUMENT,
            'position' => $this->position($machine, self::PARTS['bed-hold']),
        ])
            ->orderByDesc('id')
            ->value('value');

        return is_numeric($value) ? (float) $value : null;
    }

    private function position(Machine $machine, string $class): ?string
    {
        foreach ($this->knowledge->families[$machine->family]->positions ?? [] as $position) {
            if ($position->partClass === $class) {
                return $position->code;
            }
        }

        return null;
    }
}
