<?php

declare(strict_types=1);

namespace App\Intake;

use OddBench\Intake\Began;
use OddBench\Intake\JobKind;

/** What is written down when a machine comes in. */
final readonly class Booking
{
    /**
     * @param  list<string>  $told  findings told at the counter
     * @param  list<array{code?: string|null, name?: string|null, came: int, went?: int|null, staysBecause?: string|null}>  $accessories
     */
    public function __construct(
        public JobKind $kind,
        public string $complaint,
        public Began $began,
        public ?float $hours = null,
        public bool $counterBeganAnew = false,
        public ?string $screenSaid = null,
        public ?string $cameAlong = null,
        public ?string $promisedFor = null,
        public array $told = [],
        public array $accessories = [],
    ) {
    }
}
