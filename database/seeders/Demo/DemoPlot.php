<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Intake\Job;
use Closure;
use OddBench\Intake\JobKind;

/** How a demo visit goes: its kind, who works on it and where it stops. */
final readonly class DemoPlot
{
    /**
     * @param  int  $delay  minutes until somebody takes it up
     * @param  'booked'|'find'|'fix'|'fix-waiting'|'proof'|'to-go'|null  $stopAt  null: it is finished
     * @param  'itself'|'part'|'person'|'claim'|null  $waitsFor
     * @param  (Closure(Job): Job)|null  $beforeConfirm  what happens when it is known what it may be
     * @param  (Closure(Job): Job)|null  $afterConfirm  what happens when it is known what it is
     * @param  int|null  $sellsAt  minor units
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
        public ?Closure $beforeConfirm = null,
        public ?Closure $afterConfirm = null,
        public ?int $sellsAt = null,
    ) {
    }
}
