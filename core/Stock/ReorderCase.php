<?php

declare(strict_types=1);

namespace OddBench\Stock;

/** One part as it stands, and what it costs to have it and not to have it: what *reorder* judges. */
final readonly class ReorderCase
{
    /**
     * @param  float  $leadWeeks  from an order to the bin; 0 for what is there at once
     * @param  float  $leadSdWeeks  how much that wavers
     * @param  float  $reviewWeeks  from one look at the shelf to the next
     * @param  float  $serviceLevel  above 0, below 1
     * @param  int  $pack  pieces in one, 1 and up
     * @param  int  $planned  what is going to be taken and is not promised yet
     * @param  float|null  $orderCost  of one order, in the shop’s currency
     * @param  float|null  $holdingPctYear  what a piece in a bin costs a year, per cent of its price
     * @param  float|null  $unitCost  of one piece
     * @param  float|null  $mostToSpend  binds only where the price of a piece is known
     * @param  Foretold|null  $foretold  what parts in use say of themselves: history is then what was asked for besides
     * @param  string|null  $lastOfKind  the sentence that the last one went into use
     */
    public function __construct(
        public DemandRate $demand,
        public float $leadWeeks,
        public float $serviceLevel,
        public int $pack,
        public int $onHand,
        public int $reserved = 0,
        public int $onOrder = 0,
        public int $planned = 0,
        public float $leadSdWeeks = 0.0,
        public float $reviewWeeks = 0.0,
        public ?float $orderCost = null,
        public ?float $holdingPctYear = null,
        public ?float $unitCost = null,
        public ?float $shelfLifeWeeks = null,
        public ?float $mostToSpend = null,
        public ?string $lastOfKind = null,
        public ?Foretold $foretold = null,
    ) {
    }

    /** What nobody has a claim on; less than nothing when more is promised than there will be. */
    public function free(): int
    {
        return $this->onHand + $this->onOrder - $this->reserved - $this->planned;
    }

    /** The lot that costs least a year, √(2·D·K/(h·c)) (F. W. Harris, 1913); nothing when a figure is missing. */
    public function lot(): ?float
    {
        return $this->orderCost === null || $this->holdingPctYear === null || $this->unitCost === null || $this->unitCost <= 0
            ? null
            : sqrt(2 * 52 * $this->perWeek() * $this->orderCost / ($this->holdingPctYear / 100 * $this->unitCost));
    }

    /** What is asked for in a week, in and out of use together. */
    public function perWeek(): float
    {
        $over = $this->leadWeeks + $this->reviewWeeks;

        return $this->demand->mean + ($this->foretold === null || $over <= 0.0 ? 0.0 : $this->foretold->expected / $over);
    }

    /** What is asked for until an order that is thought of now is here: over the lead time and until it is looked at again. */
    public function law(): DemandLaw
    {
        $besides = $this->besides();

        // a sum of independent demands, by its mean and variance
        return $this->foretold === null ? $besides : DemandLaw::of(
            $besides->mean + $this->foretold->expected,
            $besides->variance() + $this->foretold->variance,
        );
    }

    private function besides(): DemandLaw
    {
        $rate = $this->demand;
        $over = $this->leadWeeks + $this->reviewWeeks;
        $wavers = $rate->mean ** 2 * $this->leadSdWeeks ** 2;

        return $rate->few()
            ? DemandLaw::afterFew(
                $rate->events,
                $rate->weeks,
                $over,
                ($rate->variance > DemandLaw::AGREES * $rate->mean ? $over * ($rate->variance - $rate->mean) : 0.0) + $wavers,
            )
            : DemandLaw::of($over * $rate->mean, $over * $rate->variance + $wavers);
    }
}
