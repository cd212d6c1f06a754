<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use OddBench\Intake\JobKind;

/** How a demo visit goes: its kind, who works on it and where it stops. */
final readonly class DemoPlot
{
    /**
     * @param  int  $delay  minutes until somebody takes it up
     * @param  'booked'|'find'|'fix'|'fix-waiting'|'proof'|'to-go'|null  $stopAt  null: it is finished
     * @param  'itself'|'part'|'person'|'claim'|null  $waitsFor
     */
    public function __construct(
        public JobKind $kind,
        public string $technician,
        public float $hours,
        public int $delay = 60,
        public ?string $promisedFor = null,
        public ?string $stopAt = null,
        public ?string $waitsFor = null,
        public ?string $waitsNote = null,
    ) {
    }
}
