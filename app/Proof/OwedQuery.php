<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\JobState;
use App\Machines\RailTurn;
use App\Repair\Mend;
use App\Repair\Tray\TakenOff;
use App\Repair\WorkOnJob;
use App\Stock\Shelf\Movement;
use App\Stock\Shelf\StockOfJob;
use Illuminate\Support\Carbon;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;
use OddBench\Proof\Owed;
use OddBench\Proof\Plan;
use OddBench\Proof\ProofPlan;

/** Which proofs a job owes, and which stand: a proof is owed again when later work touched what it proves. */
final readonly class OwedQuery
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function plan(JobState $state): Plan
    {
        return $state->once('owed', fn (): Plan => $this->planSince($state, null));
    }

    /** @return array<string, ProofResult> proof code => the latest result that still stands */
    public function standing(JobState $state): array
    {
        return $state->once('standing', fn (): array => $this->stillStanding($state));
    }

    /** @return array<string, ProofResult> */
    private function stillStanding(JobState $state): array
    {
        $latest = [];
        foreach (ProofsOfJob::of($state)->results as $result) {
            $latest[$result->proof] = $result;
        }
        $plans = [];

        return array_filter($latest, function (ProofResult $result) use ($state, &$plans): bool {
            $since = $plans[$result->at->format('U.u')] ??= $this->planSince($state, $result->at);

            return $since->find($result->proof) === null;
        });
    }

    /** @return array<string, bool> proof code => passed, of those that stand */
    public function passed(JobState $state): array
    {
        return array_map(static fn (ProofResult $result): bool => $result->passed, $this->standing($state));
    }

    /** @return list<string> */
    public function missingNames(JobState $state): array
    {
        return array_map(static fn (Owed $owed): string => $owed->proof->name, $this->plan($state)->missing($this->passed($state)));
    }

    /** What the work done after a moment owes; all of it when there is none. */
    private function planSince(JobState $state, ?Carbon $moment): Plan
    {
        $later = static fn (Carbon $at): bool => $moment === null || $at->gt($moment);
        $work = WorkOnJob::of($state);
        $mends = $work->mends->filter(fn (Mend $mend): bool => $later($mend->at));
        $fitted = StockOfJob::of($state)->fitted()
            ->filter(fn (Movement $m): bool => $later($m->at))
            ->map(fn (Movement $m): string => (string) $m->position);
        $unplugged = $work->takenOff->filter(fn (TakenOff $t): bool => $later($t->back->at ?? $t->at))
            ->flatMap(fn (TakenOff $t): array => $t->sockets);
        $turned = $work->railTurns->filter(fn (RailTurn $t): bool => $later($t->at))->map(fn (RailTurn $t): string => $t->position);
        $family = $this->knowledge->families[$state->job->machine->family] ?? null;
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
        $due = $moment === null && $plan->owed !== [] ? $this->due($state, $plan, $traits) : [];

        return $due === [] ? $plan : $of($due);
    }

    /** @return list<string> proofs that come round, which this machine has not passed in time */
    private function due(JobState $state, Plan $plan, Traits $traits): array
    {
        $due = [];
        foreach ($this->knowledge->proofs as $proof) {
            if ($proof->everyMonths === null || $plan->find($proof->code) !== null || ! $traits->allow($proof->needs)) {
                continue;
            }
            $passed = (ProofsOfJob::of($state)->elsewhere[$proof->code] ?? null)?->gt($state->job->opened_at->copy()->subMonths((int) $proof->everyMonths))
                ?? false;
            if (! $passed) {
                $due[] = $proof->code;
            }
        }

        return $due;
    }
}
