<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Diagnosis\Suspect;
use OddBench\Knowledge\Knowledge;

/** Mends in order of probability over minutes, when no look is left. */
final readonly class Likeliest
{
    /**
     * @param  list<Suspect>  $suspects
     * @param  list<string>  $ruledOut
     */
    public static function mend(Knowledge $knowledge, array $suspects, array $ruledOut): Move
    {
        $best = null;
        $most = -1.0;
        foreach ($suspects as $suspect) {
            $worth = $suspect->probability / $knowledge->faults[$suspect->code]->mend()->minutes;
            if ($worth > $most && $suspect->explains !== [] && ! in_array($suspect->code, $ruledOut, true)) {
                [$best, $most] = [$suspect->code, $worth];
            }
        }

        return $best === null ? Move::handOver() : Move::mend($best);
    }
}
