<?php

declare(strict_types=1);

namespace OddBench\Money;

/** What to pay for a broken machine at most, and how to go about it. */
final readonly class Bid
{
    /**
     * @param  int  $most  the highest price at which the margin is earned on the average, rounded down; below zero: leave it
     * @param  list<BidStep>  $plan
     * @param  list<BidEnd>  $ends  how it may end, each way once, every stage passed first
     * @param  float  $chance  that it passes every stage
     * @param  float  $worth  as it stands, before costs and margin
     */
    public function __construct(
        public int $most,
        public float $worth,
        public array $plan,
        public array $ends,
        public float $chance,
        private BidCase $case,
    ) {
    }

    /** What is earned on the average when so much is paid, minor units. */
    public function earns(int $paid): int
    {
        return Exact::whole($this->worth - $this->case->costs - $paid);
    }

    /** Probability, 0 to 1, that it brings more than was paid and spent on it when so much is paid. */
    public function winsAt(int $paid): float
    {
        $reached = 1.0;
        $spent = $paid + $this->case->costs;
        $wins = 0.0;
        foreach ($this->plan as $step) {
            if (! $step->goOn) {
                return $wins + ($step->stage->fallback > $spent ? $reached : 0.0);
            }
            $spent += $step->stage->cost;
            $wins += $step->stage->fallback > $spent ? $reached * (1 - $step->stage->passes) : 0.0;
            $reached *= $step->stage->passes;
        }

        return $wins + ($this->case->sellsAt > $spent ? $reached : 0.0);
    }
}
