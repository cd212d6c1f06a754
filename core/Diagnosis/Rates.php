<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Fault;

/**
 * How likely each fault is before anything was looked at: the catalogue’s rate, corrected by what this shop has seen.
 *
 * Gamma–Poisson in two levels (Gelman and others, Bayesian Data Analysis, 3rd ed., 2.6 and 5): the shop’s rate θ is
 * Gamma(w·c, w) with the catalogue’s rate c counting as w jobs; a family’s rate is Gamma(w·θ, w). Jobs of the other families
 * speak of θ, those of this family of its own rate and by it of θ: each job counts once. Where no shop is told of, the shop is
 * taken to be the catalogue. Rates are per job on a machine that can have the fault: of a fault that some families cannot have,
 * only the others’ jobs count.
 */
final readonly class Rates
{
    /** A fault is never certain before anything was seen. */
    private const MOST = 0.5;

    private const LEAST = 1e-6;

    /** Gamma distributions mixed, at the most. */
    private const MOST_TERMS = 200;

    /**
     * @param  array<string, int>  $familyFaults  fault code => jobs of this family in which it was confirmed
     * @param  array<string, int>  $shopFaults
     * @param  array<string, int>  $shopExposed  fault code => jobs of the shop on machines that can have it, where not all can
     */
    private function __construct(
        private float $catalogueJobs,
        private int $familyJobs,
        private array $familyFaults,
        private int $shopJobs,
        private array $shopFaults,
        private array $shopExposed,
    ) {
    }

    /** The rates of the trade, before a shop counted anything of its own. */
    public static function catalogue(): self
    {
        return new self(1, 0, [], 0, [], []);
    }

    /**
     * @param  array<string, int>  $familyFaults
     * @param  float  $catalogueJobs  how many jobs the catalogue’s rate counts as, above 0
     * @param  array<string, int>  $shopFaults  over all families
     * @param  array<string, int>  $shopExposed  fault code => jobs of the shop on machines that can have it, where not all can
     */
    public static function corrected(
        float $catalogueJobs,
        int $familyJobs,
        array $familyFaults,
        int $shopJobs = 0,
        array $shopFaults = [],
        array $shopExposed = [],
    ): self {
        return new self($catalogueJobs, $familyJobs, $familyFaults, $shopJobs, $shopFaults, $shopExposed);
    }

    /** Probability that the fault is there on a machine that comes in, 0 to 1. */
    public function prior(Fault $fault): float
    {
        $c = $fault->rate / 1000;
        $own = $this->familyFaults[$fault->code] ?? 0;
        $shop = $this->shopJobs === 0 ? $c : $this->shop(
            $c,
            max(0, ($this->shopFaults[$fault->code] ?? 0) - $own),
            max(0, ($this->shopExposed[$fault->code] ?? $this->shopJobs) - $this->familyJobs),
            $own,
        );
        $family = ($this->catalogueJobs * $shop + $own) / ($this->catalogueJobs + $this->familyJobs);

        return min(self::MOST, max(self::LEAST, $family));
    }

    /**
     * The mean of the shop’s rate after everything was seen. Given θ, this family’s k of n jobs are negative binomial with size
     * wθ: Γ(wθ + k)/Γ(wθ)·(w/(w + n))^(wθ), a polynomial in θ times an exponential. So θ is a mixture of k + 1 Gamma
     * distributions, whose weights come by multiplying out wθ·(wθ + 1)·…·(wθ + k − 1); all are positive, no digit is lost.
     *
     * @param  int  $others  of the other families’ jobs, those with the fault
     */
    private function shop(float $c, int $others, int $othersJobs, int $own): float
    {
        $w = $this->catalogueJobs;
        $shape = $w * $c + $others;
        $rate = $w + $othersJobs + $w * log(1 + $this->familyJobs / $w);
        if ($own > self::MOST_TERMS) {
            return $this->shopMode($shape, $rate, $own);
        }
        $weights = [1.0];
        for ($i = 0; $i < $own; $i++) {
            $next = array_fill(0, $i + 2, 0.0);
            foreach ($weights as $j => $weight) {
                $next[$j] += $i * $weight;
                $next[$j + 1] += $w * $weight * ($shape + $j) / $rate;
            }
            $sum = array_sum($next);
            $weights = array_map(static fn (float $x): float => $x / $sum, $next);
        }
        $mean = 0.0;
        foreach ($weights as $j => $weight) {
            $mean += $weight * ($shape + $j) / $rate;
        }

        return $mean / array_sum($weights);
    }

    /**
     * Where the family has so many of its own that the shop hardly matters, the mode stands for the mean: the root of
     * shape/θ − rate + w·(ψ(wθ + k) − ψ(wθ)), with ψ(x) ≈ ln x − 1/(2x).
     */
    private function shopMode(float $shape, float $rate, int $own): float
    {
        $w = $this->catalogueJobs;
        $slope = static fn (float $theta): float => $shape / $theta - $rate + $w * (log(($w * $theta + $own) / ($w * $theta)) - 0.5 / ($w * $theta + $own) + 0.5 / ($w * $theta));
        [$low, $high] = [1e-9, 10.0];
        for ($i = 0; $i < 80; $i++) {
            $middle = sqrt($low * $high);
            [$low, $high] = $slope($middle) > 0 ? [$middle, $high] : [$low, $middle];
        }

        return sqrt($low * $high);
    }
}
