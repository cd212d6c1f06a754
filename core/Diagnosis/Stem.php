<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/**
 * The stem of an English word, so that “prints”, “printed” and “printing” are one: Porter 1980, An algorithm for suffix stripping, step 1.
 */
final class Stem
{
    /** The stem of an English word (M. F. Porter, An algorithm for suffix stripping, 1980), in small letters. */
    public static function of(string $word): string
    {
        if (strlen($word) < 3) {
            return $word;
        }

        return self::yToI(self::pastAndGoing(self::plural($word)));
    }

    /** Step 1a. */
    private static function plural(string $word): string
    {
        return match (true) {
            str_ends_with($word, 'sses') => substr($word, 0, -2),
            str_ends_with($word, 'ies') => substr($word, 0, -2),
            str_ends_with($word, 'ss') => $word,
            str_ends_with($word, 's') => substr($word, 0, -1),
            default => $word,
        };
    }

    /** Step 1b. */
    private static function pastAndGoing(string $word): string
    {
        if (str_ends_with($word, 'eed')) {
            return self::measure(substr($word, 0, -3)) > 0 ? substr($word, 0, -1) : $word;
        }
        foreach (['ed', 'ing'] as $ending) {
            $stem = substr($word, 0, -strlen($ending));
            if (str_ends_with($word, $ending) && self::hasVowel($stem)) {
                return self::mended($stem);
            }
        }

        return $word;
    }

    /** What is put back after -ed and -ing: “hopp” is hop, “fil” is file. */
    private static function mended(string $stem): string
    {
        if (preg_match('/(at|bl|iz)$/', $stem) === 1) {
            return $stem.'e';
        }
        if (preg_match('/([^aeioulsz])\1$/', $stem) === 1) {
            return substr($stem, 0, -1);
        }

        return self::measure($stem) === 1 && preg_match('/[^aeiou][aeiouy][^aeiouwxy]$/', $stem) === 1 ? $stem.'e' : $stem;
    }

    /** Step 1c. */
    private static function yToI(string $word): string
    {
        return str_ends_with($word, 'y') && self::hasVowel(substr($word, 0, -1)) ? substr($word, 0, -1).'i' : $word;
    }

    private static function hasVowel(string $stem): bool
    {
        return preg_match('/[aeiou]|[^aeiou]y/', $stem) === 1;
    }

    /** How often a vowel is followed by a consonant in it. */
    private static function measure(string $stem): int
    {
        return (int) preg_match_all('/(?:[aeiou]|(?<=[^aeiou])y)+(?:[^aeiouy]|(?<![^aeiou])y)+/', $stem);
    }
}
