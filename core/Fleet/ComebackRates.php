<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/**
 * How often a repair of each fault comes back in this shop. A fault that was mended seldom leans on all of them: beta-binomial, with
 * the shop’s own share counting for some repairs (A. Gelman and others, Bayesian Data Analysis, 3rd ed., 2.4 and 5.3).
 */
final readonly class ComebackRates
{
    /** The share of all repairs counts for so many of each fault (from memory). */
    private const PRIOR = 10.0;

    /** @param  array<string, array{mended: int, back: int}>  $faults */
    private function __construct(private array $faults, public float $overall)
    {
    }

    /** @param  array<string, array{mended: int, back: int}>  $faults  code => */
    public static function of(array $faults): self
    {
        $mended = array_sum(array_column($faults, 'mended'));

        return new self($faults, $mended === 0 ? 0.0 : array_sum(array_column($faults, 'back')) / $mended);
    }

    /** @return float 0 to 1 */
    public function chance(string $fault): float
    {
        $of = $this->faults[$fault] ?? ['mended' => 0, 'back' => 0];

        return ($of['back'] + self::PRIOR * $this->overall) / ($of['mended'] + self::PRIOR);
    }
}
