<?php

declare(strict_types=1);

namespace App\Computation\Accuracy;

/** A computation held against something else over so many cases. */
final readonly class Compared
{
    /** @param  string  $worst  the largest difference there was, with its unit */
    public function __construct(public string $computation, public string $reference, public int $cases, public string $worst)
    {
    }

    /**
     * @param  iterable<array{float, float}>  $pairs  computed, expected
     * @param  string  $as  how the relative difference is said
     */
    public static function over(string $computation, string $reference, iterable $pairs, string $as = '%.1e'): self
    {
        $worst = 0.0;
        $cases = 0;
        foreach ($pairs as [$computed, $expected]) {
            $cases++;
            // no number at all is the worst there is
            $worst = is_nan($computed) ? INF : max($worst, abs($computed - $expected) / max(1e-12, abs($expected)));
        }

        return new self(
            $computation,
            $reference,
            $cases,
            str_contains($as, '%%') ? sprintf($as, 100 * $worst) : sprintf($as, $worst).' of it',
        );
    }
}
