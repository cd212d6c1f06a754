<?php

declare(strict_types=1);

namespace App\Release;

use OddBench\Release\Grade;

/**
 * What a machine leaves with, as it was on that day: a repair report, a condition sheet, or a warning. It names nobody of
 * the shop and no cost: its owner reads it.
 */
final readonly class Sheet
{
    /**
     * @param  'repair'|'condition'|'danger'  $kind
     * @param  string|null  $signedOut  day; nothing for a draft
     * @param  list<string>  $found
     * @param  list<string>  $done
     * @param  list<array{position: string, part: string}>  $replaced
     * @param  list<array{name: string, before: string, after: string}>  $readings
     * @param  list<array{name: string, value: string, limits: string, waived: string|null}>  $proofs
     * @param  array{until: string, hours: float|null, faults: list<string>}|null  $warranty
     * @param  array{grade: string, because: list<string>, positions: list<array{name: string, part: string|null, hours: float|null, life: float|null}>, visits: list<array{at: string, faults: list<string>}>}|null  $condition
     * @param  bool  $hoursAbout  its counter was not read at this visit
     */
    public function __construct(
        public string $kind,
        public string $shop,
        public string $tag,
        public string $family,
        public ?string $serial,
        public ?float $hours,
        public string $cameIn,
        public ?string $signedOut,
        public string $complaint,
        public array $found,
        public array $done,
        public array $replaced,
        public array $readings,
        public array $proofs,
        public ?array $warranty,
        public ?array $condition,
        public ?string $note,
        public ?string $danger,
        public bool $hoursAbout = false,
    ) {
    }

    public function title(): string
    {
        return match ($this->kind) {
            'condition' => 'Condition sheet',
            'danger' => 'Not to be switched on',
            default => 'Repair report',
        };
    }

    public function grade(): ?Grade
    {
        return $this->condition === null ? null : Grade::from($this->condition['grade']);
    }

    /** @param  array<string, mixed>  $kept */
    public static function from(array $kept): self
    {
        return new self(...$kept);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return get_object_vars($this);
    }
}
