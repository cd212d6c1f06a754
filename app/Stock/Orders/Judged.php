<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use OddBench\Stock\Foretold;
use OddBench\Stock\LeadTime;
use OddBench\Stock\ReorderJudged;

/** A part with what the computation *reorder* says of it. */
final readonly class Judged
{
    /**
     * @param  int  $planned  what the kits of open jobs will take
     * @param  list<string>  $plannedFor  tags of their machines
     * @param  string|null  $last  that the last one of its kind went into use
     * @param  list<int>  $history  taken in each week, the oldest first; besides what is foretold
     * @param  Foretold|null  $foretold  of those in use on the farm
     */
    public function __construct(
        public Supply $supply,
        public int $reserved,
        public int $onOrder,
        public int $planned,
        public array $plannedFor,
        public ?string $last,
        public LeadTime $lead,
        public array $history,
        public ReorderJudged $says,
        public ?Foretold $foretold = null,
    ) {
    }
}
