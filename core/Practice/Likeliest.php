<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Diagnosis\Suspect;
use OddBench\Knowledge\Knowledge;

/**
 * Mends in order of probability over minutes, when no look is left; where it is rather none of the suspects than a long shot,
 * the machine is handed to a second person.
 */
final readonly class Likeliest
{
    /** A mend less likely than this is no longer tried where it is likelier to be none of the suspects. */
    public const LONG_SHOT = 0.2;

    /**
     * @param  list<Suspect>  $suspects
     * @param  list<string>  $ruledOut
     * @param  float  $none  probability that it is none of the faults in question
     */
    public static function mend(Knowledge $knowledge, array $suspects, array $ruledOut, float $none): Move
    {
        $best = null;
        $most = -1.0;
        $likeliest = 0.0;
        foreach ($suspects as $suspect) {
            $likeliest = max($likeliest, $suspect->explains !== [] ? $suspect->probability : 0.0);
            $worth = $suspect->probability / $knowledge->faults[$suspect->code]->mend()->minutes;
            if ($worth > $most && $suspect->explains !== [] && ! in_array($suspect->code, $ruledOut, true)) {
                [$best, $most] = [$suspect->code, $worth];
            }
        }

        return $best === null || ($none > $likeliest && $likeliest < self::LONG_SHOT) ? Move::handOver() : Move::mend($best);
    }
}
