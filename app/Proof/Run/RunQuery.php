<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Intake\Job;
use App\Intake\JobState;
use App\Proof\OwedQuery;
use App\Proof\StageProofs;
use Illuminate\Support\Facades\DB;
use OddBench\Intake\Station;
use OddBench\Proof\Run\HeatStages;
use OddBench\Proof\Run\Packed;
use OddBench\Proof\Run\RunStage;
use OddBench\Proof\Run\Sample;

/** Reads the newest run of a job with its curve. */
final readonly class RunQuery
{
    private const POINTS = 720;

    private const MINUTES = 120;

    public function __construct(private OwedQuery $owed)
    {
    }

    public function of(Job $job): RunView
    {
        $run = ProofRun::query()->where('job_id', $job->id)->orderByDesc('id')->first();
        $machine = $job->machine;
        if ($run === null) {
            return new RunView(
                null,
                'none',
                [],
                null,
                [],
                null,
                $machine->printer_host,
                $machine->printer_port,
                true,
                [],
                null,
                null,
                'cold',
                null,
                null,
                null,
                HeatStages::SWING_C,
                $this->offers($job),
            );
        }
        $ended = $run->ended_at !== null;

        return new RunView(
            $run->id,
            $run->state,
            array_map(fn (string $stage): StageView => $this->stage($run, $stage), $run->stages),
            $run->question,
            $run->choices ?? [],
            $run->said,
            $machine->printer_host,
            $machine->printer_port,
            $ended || ($run->seen_at ?? $run->began_at)->gt(now()->subSeconds(12)),
            array_map(
                static fn (Sample $s): array => [
                    round($s->t, 1),
                    round($s->hotend, 1),
                    round($s->hotendTarget, 1),
                    round($s->bed, 1),
                    round($s->bedTarget, 1),
                ],
                $this->samples($run, $ended ? null : self::MINUTES),
            ),
            ($run->ended_at ?? now())->getTimestamp() - $run->began_at->getTimestamp(),
            $ended ? null : $run->remainingS(),
            $run->heat,
            $run->hotend_c,
            $run->bed_c,
            $run->measured_at?->diffInSeconds(now()),
            HeatStages::SWING_C,
            $ended ? $this->offers($job) : [],
        );
    }

    /** @return list<StageOfferView> */
    private function offers(Job $job): array
    {
        if ($job->station !== Station::Proof) {
            return [];
        }
        $state = JobState::of($job);

        return array_map(static function (string $code): StageOfferView {
            $stage = RunStage::from($code);

            return new StageOfferView($code, $stage->words(), $stage->aboutS(), $stage->isAlwaysOwed());
        }, StageProofs::owed($this->owed->plan($state), $this->owed->passed($state)));
    }

    /**
     * @param  int|null  $minutes  the last ones; nothing for all
     * @return list<Sample>
     */
    public function samples(ProofRun $run, ?int $minutes): array
    {
        $rows = DB::table('proof_samples')->where('proof_run_id', $run->id)
            ->orderByDesc('minute')
            ->when($minutes !== null, fn ($q) => $q->limit((int) $minutes))
            ->selectRaw("minute, encode(samples, 'hex') as packed")->get()->reverse();
        $packed = [];
        foreach ($rows as $row) {
            $packed[(int) $row->minute] = (string) hex2bin((string) $row->packed);
        }

        return Packed::thinned($packed, self::POINTS);
    }

    private function stage(ProofRun $run, string $stage): StageView
    {
        $result = $run->results[$stage] ?? null;
        $standing = match (true) {
            $result !== null => $result['passed'] ? 'passed' : 'failed',
            $run->ended_at === null && $run->stage === $stage => 'now',
            default => 'later',
        };

        return new StageView($stage, RunStage::tryFrom($stage)?->words() ?? $stage, $standing, $result['words'] ?? null);
    }
}
