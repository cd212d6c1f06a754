<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Work that comes round by hours or by months, whichever is first. */
final readonly class ServiceItem
{
    /**
     * @param  array<string, list<string>>  $needs  trait => values it is for
     * @param  string|null  $guide  how it is done
     * @param  float|null  $everyHours  print hours
     * @param  float|null  $everyMonths  of the calendar
     */
    public function __construct(
        public string $code,
        public string $name,
        public array $needs,
        public ?string $guide,
        public ?float $everyHours,
        public ?float $everyMonths,
        public float $minutes,
    ) {
    }
}
