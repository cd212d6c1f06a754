<?php

declare(strict_types=1);

namespace App\Repair\Tray;

/** What is written down when something comes off. */
final readonly class Removal
{
    /**
     * @param  array<string, int>  $fasteners  size => count
     * @param  array<string, int>  $missing  size => places empty on opening
     * @param  list<string>  $sockets
     * @param  list<string>  $parts
     * @param  list<int>|null  $after  numbers; nothing for the step before
     * @param  list<int>  $before  numbers
     */
    public function __construct(
        public string $off,
        public array $fasteners = [],
        public array $missing = [],
        public array $sockets = [],
        public array $parts = [],
        public ?array $after = null,
        public array $before = [],
        public ?int $cell = null,
        public ?string $into = null,
        public ?float $engagementMm = null,
        public ?float $roomMm = null,
        public ?string $wayRound = null,
        public ?string $caution = null,
        public ?string $undoFirst = null,
        public ?string $firstPass = null,
        public ?string $secondPass = null,
        public ?string $check = null,
        public ?int $photograph = null,
        public ?int $guideRun = null,
        public ?int $guideStep = null,
    ) {
    }
}
