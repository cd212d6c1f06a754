<?php

declare(strict_types=1);

namespace App\Release;

use OddBench\Release\Grade;

/** On what terms a machine is signed out. */
final readonly class Terms
{
    /**
     * @param  string|null  $danger  the danger in writing, for a tagged machine that goes back unmended
     * @param  int  $warrantyDays  of the repair; 0 for none
     * @param  int|null  $warrantyHours  print hours; nothing when only the days count
     * @param  string|null  $shortcomings  what is known to be wrong with a machine for sale
     * @param  Grade|null  $grade  lower than computed
     */
    public function __construct(
        public ?string $note = null,
        public ?string $danger = null,
        public ?int $priceMinor = null,
        public int $warrantyDays = 0,
        public ?int $warrantyHours = null,
        public ?string $shortcomings = null,
        public ?Grade $grade = null,
        public ?string $gradeBecause = null,
    ) {
    }
}
