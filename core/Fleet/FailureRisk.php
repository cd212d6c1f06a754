<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Units\Quantity;

/** Whether a part that works now fails within its next hours: 1 − R(age + next)/R(age). */
final readonly class FailureRisk implements Computation
{
    public function name(): string
    {
        return 'failure-risk';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $life = LifeInput::read($fields);
        $age = $fields->number('age_h', ...Quantity::MachineHours->bounds());
        $next = $fields->number('next_h', ...Quantity::MachineHours->bounds());
        $fields->done();
        $probability = $life->failsWithin($age, $next);

        return [
            'probability' => $probability,
            'because' => sprintf(
                'At %s it works; within %s more %s of such parts fail.',
                Hours::words($age),
                Hours::words($next),
                Share::words($probability),
            ),
        ];
    }
}
