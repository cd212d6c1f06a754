<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/**
 * What else is likely to be there, to be offered under one key: findings not known yet, by their probability given what
 * is, with the faults taken as independent given the findings (an order to offer them in, not a figure to show).
 */
final readonly class LikelyFindings
{
    /**
     * @return list<string> codes, likeliest first
     */
    public static function of(Knowledge $knowledge, Traits $traits, Beliefs $beliefs, int $most): array
    {
        $network = $beliefs->network;
        $now = $beliefs->now()->faults;
        $chance = [];
        foreach ($network->findings as $i => $code) {
            $finding = $knowledge->findings[$code];
            if (isset($beliefs->absent[$i])
                || in_array($i, $beliefs->present, true)
                || $network->parents[$i] === []
                || ! $knowledge->hasPlaceFor($code, $traits)) {
                continue;
            }
            // a circumstance is there often anyway: only what the faults add to it counts
            $miss = $finding->circumstance ? 1.0 : 1 - $finding->leak;
            foreach ($network->parents[$i] as $fault) {
                $miss *= 1 - $now[$fault] * $network->children[$fault][$i];
            }
            $chance[$code] = 1 - $miss;
        }
        arsort($chance);

        return array_slice(array_keys($chance), 0, $most);
    }
}
