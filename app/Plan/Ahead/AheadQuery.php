<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use App\Diagnosis\Findings\FoundInJob;
use App\Diagnosis\Ranking\DiagnosisQuery;
use App\Intake\JobState;
use App\Proof\OwedQuery;
use App\Proof\ProvedBefore;
use App\Repair\Guides\GuideRun;
use App\Repair\Service\PlannedChange;
use App\Repair\Service\PlannedOfJob;
use App\Repair\WorkOnJob;
use App\Safety\SafetyOfJob;
use App\Shop\Setting;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\StockOfJob;
use OddBench\Diagnosis\Session;
use OddBench\Input\InputError;
use OddBench\Intake\JobKind;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Stage;
use OddBench\Knowledge\Traits;
use OddBench\Plan\Earned;
use OddBench\Plan\JobAhead;
use OddBench\Plan\WaysAhead;
use OddBench\Proof\Owed;

/** How far a job is, as the plan takes it: from what every room says of it. */
final readonly class AheadQuery
{
    public function __construct(
        private Knowledge $knowledge,
        private DiagnosisQuery $diagnosis,
        private OwedQuery $owed,
        private Practice $practice,
        private LookedBefore $before,
    ) {
    }

    /** The job as it most likely goes on. */
    public function of(JobState $state): JobAhead
    {
        return $this->with($state, $this->likeliest($state));
    }

    /** Every way it may go on. */
    public function ways(JobState $state): WaysAhead
    {
        return $state->once('ways ahead', function () use ($state): WaysAhead {
            $session = $this->session($state);
            $confirmed = WorkOnJob::of($state)->unmended($state);

            if ($this->unknown($state)) {
                return WaysAhead::unknown(
                    $this->knowledge,
                    $this->traits($state),
                    fn (array $faults): JobAhead => $this->with($state, $faults),
                );
            }

            return $session === null || $confirmed !== [] || $state->job->station->comesAfter(Station::Diagnosis)
                ? WaysAhead::certain($this->knowledge, $this->with($state, $confirmed))
                : WaysAhead::of($this->knowledge, $session->sets(), [], fn (array $faults): JobAhead => $this->with($state, $faults));
        });
    }

    /** @return list<string> */
    private function likeliest(JobState $state): array
    {
        $confirmed = WorkOnJob::of($state)->unmended($state);

        return $confirmed !== [] || $state->job->station->comesAfter(Station::Diagnosis) ? $confirmed : $this->looked($state)->likeliest;
    }

    /** Nobody has said yet what it does. */
    private function unknown(JobState $state): bool
    {
        $job = $state->job;

        return $job->kind === JobKind::Repair && ! $job->station->comesAfter(Station::Diagnosis) && $job->find_passed_because === null
            && FoundInJob::of($state)->findings()->isEmpty() && WorkOnJob::of($state)->unmended($state) === [];
    }

    private function traits(JobState $state): Traits
    {
        return Traits::of($this->knowledge->families[$state->job->machine->family]->traits ?? []);
    }

    private function looked(JobState $state): Looked
    {
        return $this->before->of($state->job, function () use ($state): Looked {
            $session = $this->session($state);

            return new Looked(
                $session === null ? null : $this->look($state, $session),
                $session === null ? 0.0 : $this->search($state, $session),
                $session === null ? [] : WaysAhead::likeliest($session->sets()),
                now()->toIso8601String(),
            );
        });
    }

    /** The diagnosis while it is looked for; nothing when there is nothing to look for, or too much. */
    private function session(JobState $state): ?Session
    {
        if (FoundInJob::of($state)->findings()->isEmpty() || $state->job->find_passed_because !== null) {
            return null;
        }
        try {
            return $this->diagnosis->of($state);
        } catch (InputError) {
            return null;
        }
    }

    /** @param  list<string>  $mend */
    private function with(JobState $state, array $mend): JobAhead
    {
        $job = $state->job;
        $traits = $this->traits($state);
        $work = WorkOnJob::of($state);
        $mend = array_values(array_filter($mend, fn (string $code): bool => isset($this->knowledge->faults[$code])));
        [$guides, $tasks] = $this->service($state);
        $worked = $job->station->comesAfter(Station::Repair);
        $looked = $job->station->comesAfter(Station::Diagnosis) ? null : $this->looked($state);

        return new JobAhead(
            station: $job->station,
            traits: $traits,
            earned: $this->earned($state, $traits),
            asked: SafetyOfJob::of($state)->redTag?->off_asked_by !== null,
            look: $looked?->look,
            search: match (true) {
                $this->unknown($state) => (float) Setting::whole('find_minutes'),
                $looked === null || $work->unmended($state) !== [] => 0.0,
                default => $looked->search,
            },
            mend: $mend,
            guides: $guides,
            off: $work->off(),
            owed: $worked ? array_values(array_filter(
                $this->missing($state),
                static fn (array $one): bool => ! in_array($one[2], RunOfJob::shows($state), true),
            )) : null,
            classes: $this->classes($state),
            curves: $this->practice->curves(),
            times: $this->practice->times(),
            running: array_values(array_filter([...Timers::of($state, $this->knowledge), RunOfJob::of($state)])),
            tasks: $tasks,
            unknown: $mend === [] && $this->unknown($state),
        );
    }

    /** @return array{string, float, bool}|null */
    private function look(JobState $state, Session $session): ?array
    {
        $next = $session->diagnosis()->nextAtTheBench(SafetyOfJob::of($state)->signedTest())[0] ?? null;
        if ($next === null || ! in_array($next->kind, ['check', 'sweep'], true)) {
            return null;
        }
        $check = $this->knowledge->checks[$next->code] ?? null;

        return [
            $check === null ? sprintf('%d quick looks', count($next->looks)) : $check->name,
            $next->minutes,
            $check?->qualified === true,
        ];
    }

    private function search(JobState $state, Session $session): float
    {
        $next = $this->look($state, $session);

        return max(0.0, $session->searchAhead() - ($next[1] ?? 0.0));
    }

    /**
     * Service that is still to be done: by guide, and what has none.
     *
     * @return array{list<string>, list<array{string, float, string|null}>}
     */
    private function service(JobState $state): array
    {
        $job = $state->job;
        [$guides, $tasks] = [[], []];
        if ($job->kind === JobKind::Service && ! $job->station->comesAfter(Station::Repair)) {
            foreach (array_diff($job->service_items ?? [], ServicesDone::of($state)) as $code) {
                $item = $this->knowledge->service[$code] ?? null;
                if ($item?->guide !== null && isset($this->knowledge->guides[$item->guide])) {
                    $guides[] = $item->guide;
                } elseif ($item !== null) {
                    $tasks[] = [$item->name, $item->minutes, null];
                }
            }
        }
        foreach (PlannedOfJob::of($state)->open() as $change) {
            /** @var PlannedChange $change */
            if ($change->guide !== null && isset($this->knowledge->guides[$change->guide])) {
                $guides[] = $change->guide;
            } else {
                $name = mb_strtolower($this->knowledge->partClasses[$change->part_class] ?? $change->part_class);
                $tasks[] = ["Change the {$name}", 10.0, $change->part_class];
            }
        }
        foreach (WorkOnJob::of($state)->guideRuns->whereNull('ended_at') as $run) {
            /** @var GuideRun $run */
            if (isset($this->knowledge->guides[$run->guide])) {
                $guides[] = $run->guide;
            }
        }

        return [array_values(array_unique($guides)), $tasks];
    }

    private function earned(JobState $state, Traits $traits): Earned
    {
        $missing = array_column($this->missing($state), 0);
        $passed = array_keys(array_filter($this->owed->passed($state)));
        $elsewhere = ProvedBefore::of($state)->proofs();
        $owed = array_map(static fn (Owed $one): string => $one->proof->code, $this->owed->plan($state)->owed);
        $lacking = [];
        foreach ($this->knowledge->proofs as $proof) {
            if ($proof->stage !== Stage::Runaway || ! $traits->allow($proof->needs)) {
                continue;
            }
            // what was touched must show it anew; what was not has shown it before
            $shown = in_array($proof->code, $passed, true)
                || (! in_array($proof->code, $owed, true) && in_array($proof->code, $elsewhere, true));
            if (! $shown) {
                $lacking[] = $proof->code;
            }
        }
        $worked = $state->job->station->comesAfter(Station::Repair);

        return new Earned(
            redTag: SafetyOfJob::of($state)->redTag !== null,
            stops: $lacking === [] && $worked,
            holds: $worked && ! in_array(Stage::Heat, $missing, true),
            printed: $worked && ! in_array(Stage::Print, $missing, true),
            mainsBed: ($traits->values['bed_supply'] ?? null) === 'mains',
            nights: Setting::yes('nights'),
            lacking: $lacking,
        );
    }

    /** @return list<array{Stage, string, string}> */
    private function missing(JobState $state): array
    {
        return array_map(
            static fn (Owed $one): array => [$one->proof->stage, $one->proof->name, $one->proof->code],
            $this->owed->plan($state)->missing($this->owed->passed($state)),
        );
    }

    /** @return list<string> classes of part that are in the machine or lie ready for it */
    private function classes(JobState $state): array
    {
        return array_values(array_unique(array_filter(
            StockOfJob::of($state)->fitted()->map(static fn (Movement $m): ?string => $m->part->class ?? null)->all(),
        )));
    }
}
