<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;

/**
 * The faults in question: linked to a present finding that is no circumstance. What is only told of the past makes no
 * fault a question; when nothing else is known, all that are linked are.
 */
final class InQuestion
{
    /** @return array<int, list<int>> fault => the present findings it can cause */
    public static function of(Knowledge $knowledge, Beliefs $beliefs): array
    {
        $linked = $beliefs->linked();
        $complained = array_filter($linked, static function (array $findings) use ($knowledge, $beliefs): bool {
            foreach ($findings as $finding) {
                if (! $knowledge->findings[$beliefs->network->findings[$finding]]->circumstance) {
                    return true;
                }
            }

            return false;
        });

        return $complained === [] ? $linked : $complained;
    }

    /**
     * Probability, 0 to 1, that none of them is there though the findings are: P(none | e) = P(e | none) · P(none) / P(e).
     *
     * @param  array<int, mixed>  $inQuestion  keyed by fault
     */
    public static function none(Beliefs $beliefs, array $inQuestion): float
    {
        if ($inQuestion === []) {
            return 1.0;
        }
        $log = $beliefs->withoutFaults(array_keys($inQuestion))->logEvidence - $beliefs->now()->logEvidence;
        foreach (array_keys($inQuestion) as $fault) {
            $log += log1p(-$beliefs->network->priors[$fault]);
        }

        return min(1.0, exp($log));
    }
}
