<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** A plan people have read is left for one that is better by enough, and not for one that is only another. */
final class Steady
{
    /** For so much less of the sum of completion times people turn round. */
    private const WORTH = 0.02;

    private const SAME = 1e-6;

    /**
     * @param  Planned  $found  the plan a search has found
     * @param  Timetable  $kept  the same jobs in the order of the plan before
     */
    public static function choose(Planned $found, Timetable $kept): Planned
    {
        [$new, $old] = [$found->timetable->score, $kept->score];
        $better = $kept->left !== $found->timetable->left
            || $old->lateness > $new->lateness + self::SAME
            || $old->completion > (1 + self::WORTH) * $new->completion;

        return $better ? $found : new Planned(
            $found->problem,
            $kept,
            $found->unplaced,
            $found->proved && $old->against($new) <= 0,
            $found->bound,
            $found->completionBound,
        );
    }
}
