<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Api\Refused;
use App\Intake\Job;
use App\Plan\Making\LastOrder;
use App\Plan\Making\PlanMove;
use App\Plan\Making\Situation;
use App\Plan\Making\SituationQuery;
use App\Plan\PlanNews;
use App\Shop\Person;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Plan\PlanChange;
use OddBench\Plan\Planned;
use OddBench\Plan\Possible;

/** Moves a step to somebody else or to a later hour: first what it costs, then for good. */
final readonly class MoveStep
{
    public function __construct(private SituationQuery $situation)
    {
    }

    /**
     * What the move would change, in the order the plan has now; nothing is kept.
     *
     * @throws InputError when there is no such step
     * @throws Refused when that person may not do it
     */
    public function cost(Job $job, string $step, ?Person $who, ?Carbon $notBefore): PlanChange
    {
        $move = new PlanMove(['job_id' => $job->id, 'step' => $step, 'person_id' => $who?->id, 'not_before' => $notBefore]);
        $before = $this->situation->read();
        $k = $this->find($before, $job, $step);
        if ($who !== null) {
            $this->refuseWithoutRight($before, $job, $k, $who);
        }
        $after = $this->situation->read($move);

        return PlanChange::of($before->ends($this->inOrder($before)), $after->ends($this->inOrder($after)));
    }

    /**
     * What it changed, in the order the plan had.
     *
     * @throws InputError when there is no such step
     * @throws Refused when that person may not do it
     */
    public function move(Job $job, string $step, ?Person $who, ?Carbon $notBefore, Person $by): PlanChange
    {
        $change = $this->cost($job, $step, $who, $notBefore);
        DB::transaction(static function () use ($job, $step, $who, $notBefore, $by): void {
            PlanMove::query()->updateOrCreate(['job_id' => $job->id, 'step' => $step], [
                'person_id' => $who?->id,
                'not_before' => $notBefore,
                'moved_by' => $by->id,
                'at' => now(),
            ]);
            PlanNews::note(sprintf('%s moved “%s” of %s', $by->name, $step, $job->machine->tag));
        });

        return $change;
    }

    public function undo(Job $job, string $step, Person $by): void
    {
        DB::transaction(static function () use ($job, $step, $by): void {
            PlanMove::query()->where(['job_id' => $job->id, 'step' => $step])->delete();
            PlanNews::note(sprintf('%s let “%s” of %s go where it goes', $by->name, $step, $job->machine->tag));
        });
    }

    private function find(Situation $situation, Job $job, string $step): int
    {
        foreach ($situation->chains[$job->id] ?? [] as $k => $one) {
            if ($one->what === $step) {
                return $k;
            }
        }

        throw InputError::at('step', "Job {$job->id} has no step “{$step}” ahead of it any more; look at the plan again.");
    }

    private function refuseWithoutRight(Situation $situation, Job $job, int $k, Person $who): void
    {
        $at = array_search($who->id, array_map(static fn (Person $p): int => $p->id, $situation->people), true);
        if ($at === false) {
            throw Refused::because('person', "{$who->name} does not work at the bench.");
        }
        $lacks = array_diff($situation->chains[$job->id][$k]->rights, $situation->workers[$at]->rights);
        if ($lacks !== []) {
            throw Refused::because('person', sprintf('%s may not do that: it needs %s.', $who->name, implode(' and ', $lacks)));
        }
    }

    /** The steps in the order of the plan there is: what the move alone changes. */
    private function inOrder(Situation $situation): Planned
    {
        [$problem, $unplaced] = Possible::of($situation->workers, $situation->planned, $situation->places, $situation->open);

        return new Planned($problem, LastOrder::of($situation, $problem), $unplaced, false, 0.0, 0.0);
    }
}
