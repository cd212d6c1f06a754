<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/** Whether a machine’s visits come quicker or slower as its hours go by. */
final readonly class Trend implements Computation
{
    public function name(): string
    {
        return 'trend';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $at = $fields->numbers('at_h', ...Quantity::LifeHours->bounds());
        $until = $fields->number('until_h', ...Quantity::LifeHours->bounds());
        $fields->done();
        $pace = $this->judge($at, $until);

        return [
            'laplace_u' => $pace->laplace,
            'p' => $pace->p,
            'shape' => $pace->shape,
            'now_h_between' => $pace->between,
            'because' => $pace->because(),
        ];
    }

    /**
     * @param  non-empty-list<float>  $at  hours of the visits, in order
     * @param  float  $until  hours it was watched, above those of the first visit
     *
     * @throws InputError when they run backwards or past the end
     */
    public function judge(array $at, float $until): Pace
    {
        $before = 0.0;
        foreach ($at as $i => $hours) {
            if ($hours < $before) {
                throw InputError::at(
                    "at_h.{$i}",
                    "at_h.{$i} runs backwards: {$hours} after {$before}. After a new board add what the old counter had.",
                );
            }
            if ($hours > $until) {
                throw InputError::at("at_h.{$i}", "at_h.{$i} lies after until_h: {$hours} after {$until}.");
            }
            $before = $hours;
        }
        if ($at[0] >= $until) {
            throw InputError::at('until_h', 'until_h must lie after the first visit: nothing was watched between them.');
        }

        return Pace::of($at, $until);
    }
}
