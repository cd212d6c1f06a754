<?php

declare(strict_types=1);

namespace Tests;

/**
 * Large samples are taken in fifths here and in full by `bin/odd-bench drill --long`. Which fifth is drawn once for a whole run and
 * printed: TEST_SAMPLE=3 repeats it, TEST_SAMPLE=all takes everything. Every fifth passes by itself: none of them rests on luck.
 */
final class Sample
{
    public const PARTS = 5;

    /** Which fifth it is, 1 to 5; null for all. Without a draw it is the first. */
    public static function part(): ?int
    {
        $drawn = getenv('TEST_SAMPLE');
        if ($drawn === 'all') {
            return null;
        }

        return is_string($drawn) && preg_match('/^[1-5]$/', $drawn) === 1 ? (int) $drawn : 1;
    }

    /**
     * Those of a sample that are tried this time: every fifth of them, beginning with the drawn one.
     *
     * @template T
     *
     * @param  iterable<T>  $all
     * @return list<T>
     */
    public static function of(iterable $all): array
    {
        $part = self::part();
        $taken = [];
        $i = 0;
        foreach ($all as $one) {
            if ($part === null || $i++ % self::PARTS === $part - 1) {
                $taken[] = $one;
            }
        }

        return $taken;
    }

    /**
     * One of them, and all of them where everything is taken.
     *
     * @template T
     *
     * @param  T  ...$all
     * @return list<T>
     */
    public static function one(mixed ...$all): array
    {
        $part = self::part();

        return $part === null ? array_values($all) : [array_values($all)[($part - 1) % count($all)]];
    }

    public static function share(int $full, int $atLeast): int
    {
        return self::part() === null ? $full : max($atLeast, intdiv($full, self::PARTS));
    }
}
