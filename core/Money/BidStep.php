<?php

declare(strict_types=1);

namespace OddBench\Money;

/** A stage of the plan: what the machine is worth before it, and when to stop. */
final readonly class BidStep
{
    /**
     * @param  float  $worth  before this stage, minor units
     * @param  bool  $goOn  whether to do this stage rather than stop before it
     * @param  float  $stopAbove  what this stage may cost at most before stopping is better
     * @param  float  $after  what it is worth once it has passed
     */
    public function __construct(
        public BidStage $stage,
        public float $worth,
        public bool $goOn,
        public float $stopAbove,
        private float $after,
    ) {
    }

    /** Whether stopping before this stage is better when so much is still needed for it, minor units; what is spent counts for nothing. */
    public function stopsAt(float $needed): bool
    {
        return $needed > $this->stopAbove;
    }

    /** How what it is worth before this stage is worked out, in figures. */
    public function because(): string
    {
        $sum = static fn (float $minor): string => Price::words((int) round($minor));

        return $this->goOn ? sprintf(
            '%s × %s + %s × %s − %s = %s',
            round($this->stage->passes, 3),
            $sum($this->after),
            round(1 - $this->stage->passes, 3),
            $sum($this->stage->fallback),
            $sum($this->stage->cost),
            $sum($this->worth),
        ) : sprintf('%s as it stands; testing it brings no more', $sum($this->stage->fallback));
    }
}
