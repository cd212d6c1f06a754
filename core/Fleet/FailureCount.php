<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** How many of several parts fail, each with a probability of its own: the Poisson-binomial, by exact convolution. */
final readonly class FailureCount
{
    /** Terms below this are nothing. */
    private const NOTHING = 1e-18;

    /**
     * @param  non-empty-list<float>  $terms  P(exactly n), from 0 on
     */
    private function __construct(public float $expected, private array $terms)
    {
    }

    /** @param  list<float>  $probabilities  0 to 1 each */
    public static function of(array $probabilities): self
    {
        $terms = [1.0];
        foreach ($probabilities as $p) {
            if ($p <= 0.0) {
                continue;
            }
            $terms[] = 0.0;
            for ($n = count($terms) - 1; $n > 0; $n--) {
                $terms[$n] = $terms[$n] * (1 - $p) + $terms[$n - 1] * $p;
            }
            $terms[0] *= 1 - $p;
            // far out it only gets less
            while (count($terms) > 2 && $terms[count($terms) - 1] < self::NOTHING && $terms[count($terms) - 2] < self::NOTHING) {
                array_pop($terms);
            }
        }

        return new self(array_sum($probabilities), array_values($terms) ?: [1.0]);
    }

    public function exactly(int $n): float
    {
        return $this->terms[$n] ?? 0.0;
    }

    public function atMost(int $n): float
    {
        return min(1.0, array_sum(array_slice($this->terms, 0, max(0, $n + 1))));
    }

    /**
     * P(at least n fail) from n = 0 on, until it is less likely than this.
     *
     * @param  float  $hardly  above 0
     * @return list<float>
     */
    public function atLeast(float $hardly): array
    {
        $chances = [];
        for ($n = 0, $p = 1.0; $p >= $hardly; $n++, $p = 1 - $this->atMost($n - 1)) {
            $chances[] = $p;
        }

        return $chances;
    }

    /** The smallest n with P(failures ≤ n) ≥ p, p from 0 to below 1. */
    public function quantile(float $p): int
    {
        $sum = 0.0;
        foreach ($this->terms as $n => $term) {
            $sum += $term;
            if ($sum >= $p) {
                return $n;
            }
        }

        return count($this->terms) - 1;
    }

    /**
     * One plain sentence.
     *
     * @param  int  $parts  in use
     */
    public function because(int $parts): string
    {
        $enough = $this->quantile(0.9);

        return sprintf(
            'Of %d in use %s are expected to fail; %s enough in 9 of 10 cases.',
            $parts,
            number_format($this->expected, $this->expected < 10 ? 1 : 0, '.', ''),
            $enough === 0 ? 'none is' : ($enough === 1 ? '1 is' : "{$enough} are"),
        );
    }
}
