<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Check;
use OddBench\Knowledge\Knowledge;

/**
 * Minutes of hands that finding out will still take on the average: the suspects are settled one after the other, likeliest first,
 * each with its own look, until it was the one. A look that was made, cannot be made or that another suspect brought along
 * costs nothing more.
 */
final readonly class SearchAhead
{
    /** So likely needs no look of its own. */
    private const SURE = Settling::SURE;

    /** Nobody looks further than so many before stepping back. */
    private const MOST = 6;

    /** @param  list<Suspect>  $suspects  by probability */
    public static function minutes(Knowledge $knowledge, CaseFile $case, array $suspects): float
    {
        $minutes = 0.0;
        $left = 1.0;
        $looked = [];
        foreach (array_slice(array_filter($suspects, static fn (Suspect $s): bool => $s->explains !== []), 0, self::MOST) as $suspect) {
            if ($suspect->probability >= self::SURE) {
                break;
            }
            foreach ($knowledge->faults[$suspect->code]->settle as $code) {
                $look = $knowledge->checks[$code];
                if (self::isOpen($look, $case) && ! isset($looked[$code])) {
                    $minutes += $left * ($look->minutes + $knowledge->bench->minutesToReach($look->state));
                    $looked[$code] = true;
                    break;
                }
            }
            $left = max(0.0, $left - $suspect->probability);
        }

        return $minutes;
    }

    private static function isOpen(Check $look, CaseFile $case): bool
    {
        return ! in_array($look->code, $case->hidden, true)
            && $case->traits->allow($look->needs)
            && array_diff($look->yields, array_keys($case->findings)) !== [];
    }
}
