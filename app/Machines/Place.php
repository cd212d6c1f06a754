<?php

declare(strict_types=1);

namespace App\Machines;

/** Where a machine is. */
enum Place: string
{
    case Bench = 'bench';
    case Service = 'service';
    case Owner = 'owner';
    case Sale = 'sale';
    case Donor = 'donor';
    case Scrap = 'scrap';
    case Unmended = 'unmended';

    /** Where a machine runs: anywhere else it only stands. */
    public function runs(): bool
    {
        return in_array($this, [self::Service, self::Owner, self::Unmended], true);
    }

    /** @return list<string> */
    public static function running(): array
    {
        return array_values(array_map(
            static fn (self $place): string => $place->value,
            array_filter(self::cases(), static fn (self $place): bool => $place->runs()),
        ));
    }

    /** Whether it does not come back into use. */
    public function isGone(): bool
    {
        return in_array($this, [self::Donor, self::Scrap, self::Unmended], true);
    }

    /** Whether it stands in the shop, where a hand can be laid on it. */
    public function isHere(): bool
    {
        return in_array($this, [self::Bench, self::Service, self::Sale], true);
    }

    /** @return list<string> where what does not come back into use is */
    public static function gone(): array
    {
        return array_values(array_map(
            static fn (self $place): string => $place->value,
            array_filter(self::cases(), static fn (self $place): bool => $place->isGone()),
        ));
    }

    public function words(): string
    {
        return match ($this) {
            self::Bench => 'on the bench',
            self::Service => 'in service',
            self::Owner => 'with its owner',
            self::Sale => 'for sale',
            self::Donor => 'on the donor shelf',
            self::Scrap => 'scrapped',
            self::Unmended => 'went back unmended',
        };
    }

    /** Where a machine of this kind is when nothing is said. */
    public static function usual(string $heldAs): self
    {
        return match ($heldAs) {
            'owner' => self::Owner,
            'resale' => self::Sale,
            default => self::Service,
        };
    }
}
