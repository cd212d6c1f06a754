<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** What the lives of a group say, worked out now. */
final readonly class FittedGroup
{
    /**
     * @param  bool  $leansOnAll  too few of it failed: what all of its class last here counts along, not the trade’s word
     * @param  float|null  $tradeHours  hours the trade says such parts last
     * @param  string|null  $believedFrom  day of the failure from which on the shop goes by itself, YYYY-MM-DD
     * @param  array<string, int>  $notCounted  reason => how many
     * @param  float  $apart  how far it lies from the others of its class: twice the difference of log-likelihoods
     */
    public function __construct(
        public LifeGroup $group,
        public LifeJudged $judged,
        public bool $leansOnAll,
        public ?float $tradeHours,
        public ?string $believedFrom,
        public array $notCounted,
        public float $apart = 0.0,
    ) {
    }

    public function life(): GroupLife
    {
        return new GroupLife($this->group, $this->judged->life, $this->judged->failures, $this->judged->running, $this->apart);
    }
}
