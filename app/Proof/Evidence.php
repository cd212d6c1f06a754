<?php

declare(strict_types=1);

namespace App\Proof;

/** What is kept with a proof done by hand. */
final readonly class Evidence
{
    /**
     * @param  int|null  $photograph  of this job
     * @param  string|null  $log  temperatures as CSV or as the firmware says them
     * @param  float  $intervalS  between two lines of the firmware
     */
    public function __construct(
        public ?string $note = null,
        public ?int $photograph = null,
        public ?string $log = null,
        public float $intervalS = 1.0,
    ) {
    }
}
