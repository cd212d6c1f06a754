<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\Job;
use App\Machines\RailTurn;
use App\Repair\Mend;
use App\Repair\TakenOff;
use App\Stock\Movement;
use Illuminate\Support\Carbon;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;
use OddBench\Proof\Owed;
use OddBench\Proof\Plan;
use OddBench\Proof\ProofPlan;

/** Which proofs a job owes, and which stand: a proof is owed again when later work touched what it proves. */
final readonly class OwedQuery
{
    /** What of a job is read here. */
    public const NEEDS = ['mends', 'movements', 'takenOff.back', 'railTurns', 'proofResults', 'machine'];

    public function __construct(private Knowledge $knowledge)
    {
    }

    public function plan(Job $job): Plan
    {
        return $this->planSince($job, null);
    }

    /** @return array<string, ProofResult> proof code => the latest result that still stands */
    public function standing(Job $job): array
    {
        $latest = [];
        foreach ($job->proofResults as $result) {
            $latest[$result->proof] = $result;
        }
        $plans = [];

        return array_filter($latest, function (ProofResult $result) use ($job, &$plans): bool {
            $since = $plans[$result->at->format('U.u')] ??= $this->planSince($job, $result->at);

            return $since->find($result->proof) === null;
        });
    }

    /** @return array<string, bool> proof code => passed, of those that stand */
    public function passed(Job $job): array
    {
        return array_map(static fn (ProofResult $result): bool => $result->passed, $this->standing($job));
    }

    /** @return list<string> */
    public function missingNames(Job $job): array
    {
        return array_map(static fn (Owed $owed): string => $owed->proof->name, $this->plan($job)->missing($this->passed($job)));
    }

    /** What the work done after a moment owes; all of it when there is none. */
    private function planSince(Job $job, ?Carbon $moment): Plan
    {
        $later = static fn (Carbon $at): bool => $moment === null || $at->gt($moment);
        $mends = $job->mends->filter(fn (Mend $mend): bool => $later($mend->at));
        $undone = $job->movements->pluck('undoes_id')->filter()->all();
        $fitted = $job->movements
            ->filter(fn (Movement $m): bool => $m->kind === 'used' && $m->position !== null && ! in_array($m->id, $undone, true) && $later($m->at))
            ->map(fn (Movement $m): string => (string) $m->position);
        $unplugged = $job->takenOff->filter(fn (TakenOff $t): bool => $later($t->back->at ?? $t->at))->flatMap(fn (TakenOff $t): array => $t->sockets);
        $turned = $job->railTurns->filter(fn (RailTurn $t): bool => $later($t->at))->map(fn (RailTurn $t): string => $t->position);
        $family = $this->knowledge->families[$job->machine->family] ?? null;
        $each = static fn (array $all): array => array_values(array_unique($all));

        $traits = Traits::of($family->traits ?? []);
        $of = fn (array $due): Plan => (new ProofPlan($this->knowledge))->for(
            $traits,
            $each([...array_merge([], ...$mends->map(fn (Mend $m): array => $m->touched)->all()), ...$turned->all()]),
            $each(array_filter($mends->map(fn (Mend $m): ?string => $m->fault)->all())),
            $each($fitted->all()),
            $each($unplugged->all()),
            $due,
        );
        $plan = $of([]);
        $due = $moment === null && $plan->owed !== [] ? $this->due($job, $plan, $traits) : [];

        return $due === [] ? $plan : $of($due);
    }

    /** @return list<string> proofs that come round, which this machine has not passed in time */
    private function due(Job $job, Plan $plan, Traits $traits): array
    {
        $due = [];
        foreach ($this->knowledge->proofs as $proof) {
            if ($proof->everyMonths === null || $plan->find($proof->code) !== null || ! $traits->allow($proof->needs)) {
                continue;
            }
            $passed = ProofResult::query()->where(['proof' => $proof->code, 'passed' => true])->where('at', '>', $job->opened_at->copy()->subMonths((int) $proof->everyMonths))
                ->whereIn('job_id', Job::query()->select('id')->where('machine_id', $job->machine_id)->where('id', '<>', $job->id))->exists();
            if (! $passed) {
                $due[] = $proof->code;
            }
        }

        return $due;
    }
}
