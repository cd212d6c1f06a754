<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Units\Quantity;

/** How many of the parts that work now fail in the hours ahead of each: what to have on the shelf. */
final readonly class SparesForecast implements Computation
{
    /** Shares for which it says how many are enough. */
    private const QUANTILES = [0.5, 0.8, 0.9, 0.95, 0.99];

    private const MOST_PARTS = 5_000;

    /** What is less likely is not told. */
    private const HARDLY = 1e-6;

    public function name(): string
    {
        return 'spares-forecast';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $chances = [];
        foreach ($fields->objects('parts', self::MOST_PARTS) as $part) {
            $chances[] = LifeInput::read($part)->failsWithin(
                $part->number('age_h', ...Quantity::MachineHours->bounds()),
                $part->number('hours_ahead', ...Quantity::MachineHours->bounds()),
            );
            $part->done();
        }
        $fields->done();
        $count = FailureCount::of($chances);
        $quantiles = [];
        foreach (self::QUANTILES as $share) {
            $quantiles[(string) $share] = $count->quantile($share);
        }

        return [
            'expected' => $count->expected,
            'quantiles' => $quantiles,
            'at_least' => $count->atLeast(self::HARDLY),
            'because' => $count->because(count($chances)),
        ];
    }
}
