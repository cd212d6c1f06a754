<?php

declare(strict_types=1);

namespace OddBench\Input;

/** The known word most like a mistyped one, by Levenshtein distance (Levenshtein 1966). */
final readonly class Nearest
{
    /**
     * @param  list<string>  $known
     * @return string|null nothing when none is near: more than half of the letters would have to change
     */
    public static function to(string $given, array $known): ?string
    {
        $best = null;
        $least = intdiv(max(strlen($given), 2), 2) + 1;
        foreach ($known as $word) {
            $distance = levenshtein(substr($given, 0, 200), $word);
            if ($distance < $least) {
                [$best, $least] = [$word, $distance];
            }
        }

        return $best;
    }
}
