<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use InvalidArgumentException;
use OddBench\Math\Normal;

/**
 * Whether visits come quicker or slower: Laplace’s test (D. R. Cox and P. A. W. Lewis, The Statistical Analysis of Series of Events,
 * 1966, 3.3) and the power law by maximum likelihood (L. H. Crow 1974, Reliability Analysis for Complex Repairable Systems;
 * MIL-HDBK-189). Watched until an hour that is not itself a visit.
 */
final readonly class Pace
{
    /** Fewer visits show no trend. */
    public const LEAST = 3;

    /** From this on it is said. */
    public const SURE = 0.95;

    /**
     * @param  float  $laplace  U; above 0 they come quicker
     * @param  float  $p  two-sided: how often chance alone looks like this
     * @param  float  $shape  of the power law; above 1 they come quicker
     * @param  float  $between  hours between visits as it goes now
     */
    private function __construct(
        public int $visits,
        public float $until,
        public float $laplace,
        public float $p,
        public float $shape,
        public float $between,
    ) {
    }

    /** @param  non-empty-list<float>  $at  hours, above 0 and up to the end */
    public static function of(array $at, float $until): self
    {
        $n = count($at);
        $logs = array_sum(array_map(static fn (float $t): float => log($until / $t), $at));
        if ($logs <= 0.0) {
            throw new InvalidArgumentException('At least one visit before the end.');
        }
        $laplace = (array_sum($at) / $n - $until / 2) / ($until / sqrt(12 * $n));
        $shape = $n / $logs;

        return new self($n, $until, $laplace, Normal::beyond(abs($laplace)), $shape, $until / ($n * $shape));
    }

    /** How sure it is that they come quicker, 0 to 1: one-sided. */
    public function worse(): float
    {
        return Normal::below($this->laplace);
    }

    /** One plain sentence. */
    public function because(): string
    {
        $visits = sprintf('%d %s in %s', $this->visits, $this->visits === 1 ? 'visit' : 'visits', Hours::words($this->until));

        return match (true) {
            $this->visits < self::LEAST => "{$visits}: too few to tell whether they come quicker.",
            $this->worse() >= self::SURE => sprintf(
                '%s: getting worse, %d %% sure; as it goes now one in %s.',
                $visits,
                (int) floor(100 * $this->worse()),
                Hours::words($this->between),
            ),
            $this->worse() <= 1 - self::SURE => sprintf(
                '%s: getting better; as it goes now one in %s.',
                $visits,
                Hours::words($this->between),
            ),
            default => "{$visits}: neither quicker nor slower than by chance.",
        };
    }
}
