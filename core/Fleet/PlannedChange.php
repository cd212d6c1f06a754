<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Units\Quantity;

/** At which age it is cheapest to change a part before it fails, and whether it pays at all. Costs in minor units of money. */
final readonly class PlannedChange implements Computation
{
    public function name(): string
    {
        return 'planned-change';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $life = LifeInput::read($fields);
        $planned = $fields->number('planned_cost', ...Quantity::ChangeCost->bounds());
        $failure = $fields->number('failure_cost', ...Quantity::ChangeCost->bounds());
        $fields->done();
        $change = ChangeAge::of($life, $planned, $failure);

        return [
            'at_h' => $change->at,
            'cost_per_h' => $change->costPerHour,
            'run_to_failure_per_h' => $change->toFailure,
            'flat_from_h' => $change->flat[0] ?? null,
            'flat_to_h' => $change->flat[1] ?? null,
            'because' => $change->because(),
        ];
    }
}
