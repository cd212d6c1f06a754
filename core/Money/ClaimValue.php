<?php

declare(strict_types=1);

namespace OddBench\Money;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/** What a claim is worth, its chance and effort counted, against the days the machine stands for it. */
final readonly class ClaimValue implements Computation
{
    public function name(): string
    {
        return 'claim-value';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $chance = $this->chance($fields);
        $judged = $this->judge(
            $chance,
            $fields->whole('worth', ...Quantity::Sum->bounds()),
            $fields->wholeOrNull('effort', ...Quantity::Sum->bounds()) ?? 0,
            $fields->number('idle_days', ...Quantity::IdleDays->bounds()),
            $fields->whole('day_costs', ...Quantity::PieceCost->bounds()),
        );
        $fields->done();

        return [
            'chance' => $chance,
            'wait' => $judged->wait,
            'mend_now' => $judged->mendNow,
            'advice' => $judged->mend ? 'mend' : 'wait',
            'breaks_even_days' => $judged->breaksEvenDays,
            'because' => $judged->because,
        ];
    }

    /**
     * @param  float  $chance  that it is met, 0 to 1
     * @param  int  $worth  what it brings when it is met, minor units
     * @param  int  $effort  what it costs to go on claiming
     * @param  float  $idleDays  the machine stands for it
     * @param  int  $dayCosts  what such a day costs
     */
    public function judge(float $chance, int $worth, int $effort, float $idleDays, int $dayCosts): ClaimJudged
    {
        $wait = Exact::whole($chance * $worth - $effort);
        $waiting = Exact::whole($idleDays * $dayCosts);
        $mend = $waiting > $wait;

        return new ClaimJudged($wait, $waiting, $mend, $dayCosts === 0 ? null : max(0.0, $wait / $dayCosts), sprintf(
            $mend ? 'Mend: waiting costs %s, the claim is worth %s.' : 'Wait: the claim is worth %2$s, waiting costs %1$s.',
            Price::words($waiting),
            Price::words($wait),
        ));
    }

    private function chance(Fields $fields): float
    {
        if ($fields->has('chance') === $fields->has('won')) {
            throw InputError::at('chance', 'Give either chance, or won and lost: how this counterpart answered before.');
        }
        if ($fields->has('chance')) {
            return $fields->number('chance', ...Quantity::Chance->bounds());
        }

        return ClaimChance::of(
            $fields->whole('won', ...Quantity::Jobs->bounds()),
            $fields->wholeOrNull('lost', ...Quantity::Jobs->bounds()) ?? 0,
            $fields->numberOrNull('silent_days', ...Quantity::IdleDays->bounds()) ?? 0.0,
        );
    }
}
