<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

/** Which machines a campaign is about: all that meet everything that is said. */
final readonly class Who
{
    /**
     * @param  list<string>  $families  codes; none for all
     * @param  string|null  $class  of part: every family that has one, whoever made it
     * @param  string|null  $part  number of a part that sits in them
     * @param  string|null  $batch  of that part
     * @param  float|null  $hoursFrom  print hours
     * @param  int|null  $rack  where they stand
     */
    public function __construct(
        public array $families = [],
        public ?string $class = null,
        public ?string $part = null,
        public ?string $batch = null,
        public ?float $hoursFrom = null,
        public ?float $hoursTo = null,
        public ?string $heldAs = null,
        public ?string $place = null,
        public ?int $rack = null,
    ) {
    }

    public function saysNothing(): bool
    {
        return $this == new self;
    }

    /** @return array<string, mixed> */
    public function kept(): array
    {
        return array_filter(get_object_vars($this), static fn (mixed $v): bool => $v !== null && $v !== []);
    }
}
