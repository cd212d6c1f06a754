<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** How long the parts of a group last, as it was worked out last. */
final readonly class GroupLife
{
    /** @param  float  $apart  how far it lies from the others of its class: twice the difference of log-likelihoods, 0 for all of them */
    public function __construct(
        public LifeGroup $group,
        public Weibull $life,
        public int $failures,
        public int $running,
        public float $apart = 0.0,
    ) {
    }

    /** Whether it differs from the others of its class by more than chance. */
    public function differs(): bool
    {
        return $this->apart > FitLives::APART;
    }

    /** Whether enough of them failed to go by this shop alone. */
    public function believesItself(): bool
    {
        return $this->failures >= WearLife::BELIEVES_ITSELF;
    }
}
