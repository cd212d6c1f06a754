<?php

declare(strict_types=1);

namespace App\Proof;

use App\Intake\JobState;
use App\Repair\WorkOnJob;
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
            $since = $plans[self::sortable($result->at)] ??= $this->planSince($state, $result->at);

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
        $after = $moment === null ? '' : self::sortable($moment);
        $owes = ['touched' => [], 'mended' => [], 'fitted' => [], 'unplugged' => []];
        foreach ($this->work($state) as [$at, $way, $codes]) {
            if (strcmp($at, $after) > 0) {
                array_push($owes[$way], ...$codes);
            }
        }
        $traits = Traits::of($this->knowledge->families[$state->job->machine->family]->traits ?? []);
        $plan = $this->planFor($state, $traits, $owes, []);
        $due = $moment === null && $plan->owed !== [] ? $this->due($state, $plan, $traits) : [];

        return $due === [] ? $plan : $this->planFor($state, $traits, $owes, $due);
    }

    /**
     * Most proofs were passed after all of the work: what they would owe is worked out once for all of them.
     *
     * @param  array{touched: list<string>, mended: list<string>, fitted: list<string>, unplugged: list<string>}  $owes
     * @param  list<string>  $due
     */
    private function planFor(JobState $state, Traits $traits, array $owes, array $due): Plan
    {
        $each = static fn (array $all): array => array_values(array_unique($all));

        return $state->once('plan '.serialize([$owes, $due]), fn (): Plan => (new ProofPlan($this->knowledge))->for(
            $traits,
            $each($owes['touched']),
            $each($owes['mended']),
            $each($owes['fitted']),
            $each($owes['unplugged']),
            $due,
        ));
    }

    /** @return list<array{string, 'touched'|'mended'|'fitted'|'unplugged', list<string>}> when, in which way, what */
    private function work(JobState $state): array
    {
        return $state->once('work', static function () use ($state): array {
            $work = WorkOnJob::of($state);
            $done = [];
            foreach ($work->mends as $mend) {
                $at = self::sortable($mend->at);
                $done[] = [$at, 'touched', array_values($mend->touched)];
                $done[] = [$at, 'mended', array_values(array_filter([$mend->fault]))];
            }
            foreach ($work->railTurns as $turn) {
                $done[] = [self::sortable($turn->at), 'touched', [$turn->position]];
            }
            foreach (StockOfJob::of($state)->fitted() as $movement) {
                $done[] = [self::sortable($movement->at), 'fitted', [(string) $movement->position]];
            }
            foreach ($work->takenOff as $taken) {
                $done[] = [self::sortable($taken->back->at ?? $taken->at), 'unplugged', array_values($taken->sockets)];
            }

            return $done;
        });
    }

    private static function sortable(Carbon $at): string
    {
        return $at->format('U.u');
    }

    /** @return list<string> proofs that come round, which this machine has not passed in time */
    private function due(JobState $state, Plan $plan, Traits $traits): array
    {
        $due = [];
        foreach ($this->knowledge->proofs as $proof) {
            if ($proof->everyMonths === null || $plan->find($proof->code) !== null || ! $traits->allow($proof->needs)) {
                continue;
            }
            $since = $state->job->opened_at->copy()->subMonths((int) $proof->everyMonths);
            if (ProvedBefore::of($state)->at($proof->code)?->gt($since) !== true) {
                $due[] = $proof->code;
            }
        }

        return $due;
    }
}
