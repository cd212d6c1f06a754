<?php

declare(strict_types=1);

namespace OddBench\Money;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Units\Quantity;

/**
 * Whether a machine is worth mending: what it brings mended less what is still to come, against what its parts or the whole of it
 * bring now. What was spent before counts for nothing: it is gone whatever is done.
 */
final readonly class RepairValue implements Computation
{
    /** Weeks until a machine for sale is sold (from memory). */
    public const WEEKS_TO_SELL = 3.0;

    /** A shop without a history: of so many machines so many come back (from memory). */
    private const COMES_BACK = [20, 1];

    /** That a mend holds, 0 to 1, by how many of a shop's mended machines came back. */
    public static function holds(int $mended, int $cameBack): float
    {
        return 1 - ($cameBack + self::COMES_BACK[1]) / ($mended + self::COMES_BACK[0]);
    }

    public function name(): string
    {
        return 'repair-value';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $sum = static fn (string $key): int => $fields->whole($key, ...Quantity::Sum->bounds());
        $worth = $this->judge(
            sellsAt: $sum('sells_at'),
            further: $sum('further'),
            donor: $sum('donor'),
            asIs: $fields->wholeOrNull('as_is', ...Quantity::Sum->bounds()) ?? 0,
            chance: $fields->numberOrNull('chance', ...Quantity::Chance->bounds()) ?? 1.0,
            weeks: $fields->numberOrNull('weeks', ...Quantity::WaitingWeeks->bounds()) ?? 0.0,
            weekCosts: $fields->wholeOrNull('week_costs', ...Quantity::Sum->bounds()) ?? 0,
        );
        $fields->done();

        return [
            'mend' => $worth->mend,
            'split' => $worth->split,
            'as_is' => $worth->asIs,
            'best' => $worth->best->value,
            'flips_at' => $worth->flipsAt,
            'because' => $worth->because,
        ];
    }

    /**
     * @param  int  $sellsAt  what it brings mended, after the costs of selling
     * @param  int  $further  expected cost still to come, proofs in
     * @param  int  $donor  what its parts bring, after the work of taking them out
     * @param  int  $asIs  what it brings as it stands
     * @param  float  $chance  that the mend succeeds, 0 to 1; a mend in vain leaves the better of the other two
     * @param  float  $weeks  until it is sold
     * @param  int  $weekCosts  what a week costs that it stands
     */
    public function judge(
        int $sellsAt,
        int $further,
        int $donor,
        int $asIs = 0,
        float $chance = 1.0,
        float $weeks = 0.0,
        int $weekCosts = 0,
    ): RepairWorth {
        $else = max($donor, $asIs);
        $standing = $chance * $sellsAt + (1 - $chance) * $else - $weeks * $weekCosts;
        $mend = Exact::whole($standing - $further);
        $flips = Exact::whole($standing - $else);
        // on a par the work is saved
        $best = match (true) {
            $mend > $else => WhatToDo::Mend,
            $asIs >= $donor => WhatToDo::AsIs,
            default => WhatToDo::Split,
        };

        return new RepairWorth($mend, $donor, $asIs, $best, $flips < 0 ? null : $flips, match (true) {
            $best === WhatToDo::Mend => sprintf(
                'Mending brings %s, %s the next best %s. That turns when more than %s is still to be spent.',
                Price::words($mend),
                $asIs >= $donor ? 'selling it as it is' : 'splitting it',
                Price::words($else),
                Price::words($flips),
            ),
            $flips < 0 => sprintf('Even mended for nothing it would bring less than the %s it brings now.', Price::words($else)),
            default => sprintf(
                'Mending brings %s, %s %s. It would be worth it with no more than %s still to spend.',
                Price::words($mend),
                $asIs >= $donor ? 'selling it as it is' : 'splitting it',
                Price::words($else),
                Price::words($flips),
            ),
        });
    }
}
