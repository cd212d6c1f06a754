<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use InvalidArgumentException;
use OddBench\Math\Gamma;

/**
 * How many came back of somebody’s jobs against how many come back of such jobs in this shop: whoever gets the hard ones is not
 * measured by the easy ones. Indirect standardisation with exact Poisson limits (F. Garwood 1936, Biometrika 28, 437–442).
 */
final readonly class Comebacks
{
    /** With less expected nothing is said about anybody. */
    private const LEAST_EXPECTED = 1.0;

    private const REST = 0.025;

    private function __construct(public int $jobs, public int $cameBack, public float $expected)
    {
    }

    /**
     * @param  list<float>  $chances  of each of the jobs: how often such ones come back in this shop, 0 to 1
     * @param  int  $cameBack  of them
     */
    public static function of(array $chances, int $cameBack): self
    {
        if ($cameBack < 0 || $cameBack > count($chances)) {
            throw new InvalidArgumentException('No more come back than there were.');
        }

        return new self(count($chances), $cameBack, array_sum($chances));
    }

    /** Came back against expected: 1 is as usual. Nothing where none is expected. */
    public function ratio(): ?float
    {
        return $this->expected > 0.0 ? $this->cameBack / $this->expected : null;
    }

    /** @return array{float, float}|null between these the ratio lies (95 %) */
    public function interval(): ?array
    {
        if ($this->expected <= 0.0) {
            return null;
        }

        return [
            $this->cameBack === 0 ? 0.0 : Gamma::quantile($this->cameBack, self::REST) / $this->expected,
            Gamma::quantile($this->cameBack + 1, 1 - self::REST) / $this->expected,
        ];
    }

    /** One plain sentence: only what is beyond chance is said as more or fewer. */
    public function because(): string
    {
        $interval = $this->interval();
        if ($interval === null || $this->expected < self::LEAST_EXPECTED) {
            return sprintf('%d of %d came back: too few to say more.', $this->cameBack, $this->jobs);
        }

        return sprintf('%d of %d came back, %.1f are usual of such jobs: %s.', $this->cameBack, $this->jobs, $this->expected, match (true) {
            $interval[0] > 1.0 => 'more than by chance',
            $interval[1] < 1.0 => 'fewer than by chance',
            default => 'as usual',
        });
    }
}
