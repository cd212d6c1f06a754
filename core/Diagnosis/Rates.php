<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Fault;

/**
 * How likely each fault is before anything was looked at: the catalogue’s rate, corrected by what this shop has seen.
 *
 * Gamma–Poisson: the catalogue counts as a number of jobs at its rate; the shop’s own jobs are added; the family is
 * corrected the same way, shrunk to the shop (Gelman and others, Bayesian Data Analysis, 3rd ed., 2.6). Rates are per
 * job on a machine that can have the fault: of a fault that some families cannot have, only the others’ jobs count.
 */
final readonly class Rates
{
    /** A fault is never certain before anything was seen. */
    private const MOST = 0.5;

    private const LEAST = 1e-6;

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
    public static function corrected(float $catalogueJobs, int $familyJobs, array $familyFaults, int $shopJobs = 0, array $shopFaults = [], array $shopExposed = []): self
    {
        return new self($catalogueJobs, $familyJobs, $familyFaults, $shopJobs, $shopFaults, $shopExposed);
    }

    /** Probability that the fault is there on a machine that comes in, 0 to 1. */
    public function prior(Fault $fault): float
    {
        $shop = $this->corrected1($fault->rate / 1000, $this->shopFaults[$fault->code] ?? 0, $this->shopExposed[$fault->code] ?? $this->shopJobs);
        $family = $this->corrected1($shop, $this->familyFaults[$fault->code] ?? 0, $this->familyJobs);

        return min(self::MOST, max(self::LEAST, $family));
    }

    private function corrected1(float $rate, int $count, int $jobs): float
    {
        return ($this->catalogueJobs * $rate + $count) / ($this->catalogueJobs + $jobs);
    }
}
