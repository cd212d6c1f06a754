<?php

declare(strict_types=1);

namespace OddBench\Release;

use OddBench\Input\InputError;

/**
 * What the shop stands for after a repair: the same fault, within days or print hours, whichever ends first. A fault that
 * is back within both is a comeback.
 */
final readonly class RepairWarranty
{
    /**
     * @param  string  $until  last day, as 2026-11-25
     * @param  float|null  $untilHours  of the machine's own counter; nothing when only the days count
     */
    public function __construct(public string $until, public ?float $untilHours)
    {
    }

    /**
     * @param  string  $signedOut  day, as 2026-11-25
     * @param  int  $days  0 to 1825; none for 0
     * @param  int|null  $hours  print hours, 1 to 20,000
     * @param  float|null  $counter  the machine's hours at sign-out
     */
    public static function from(string $signedOut, int $days, ?int $hours, ?float $counter): ?self
    {
        if ($days < 0 || $days > 1825) {
            throw InputError::at('warrantyDays', 'The warranty of the repair lasts 0 to 1825 days.');
        }
        if ($hours !== null && ($hours < 1 || $hours > 20_000)) {
            throw InputError::at(
                'warrantyHours',
                'The warranty of the repair lasts 1 to 20,000 print hours; leave it empty when only the days count.',
            );
        }
        if ($days === 0) {
            return null;
        }

        return new self(
            date('Y-m-d', (int) strtotime("{$signedOut} 12:00 UTC +{$days} days")),
            $hours === null || $counter === null ? null : $counter + $hours,
        );
    }

    /**
     * @param  string  $day  as 2026-11-25
     * @param  float|null  $counter  the machine's hours then; when nobody knows them, only the days count
     */
    public function covers(string $day, ?float $counter): bool
    {
        return $day <= $this->until && ($this->untilHours === null || $counter === null || $counter <= $this->untilHours);
    }
}
