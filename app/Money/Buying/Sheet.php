<?php

declare(strict_types=1);

namespace App\Money\Buying;

use OddBench\Money\BidStage;

/** What somebody writes down of a machine on offer. */
final readonly class Sheet
{
    /**
     * @param  list<string>  $findings  codes
     * @param  list<BidStage>  $stages
     */
    public function __construct(
        public string $family,
        public string $seller,
        public string $says,
        public array $findings,
        public ?string $missing,
        public ?int $asked,
        public int $freight,
        public int $missingCosts,
        public int $selling,
        public int $sells,
        public ?int $single,
        public int $parts,
        public int $margin,
        public array $stages,
    ) {
    }
}
