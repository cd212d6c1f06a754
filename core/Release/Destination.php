<?php

declare(strict_types=1);

namespace OddBench\Release;

/** Where a machine goes from the bench. */
enum Destination: string
{
    case Service = 'service';
    case Owner = 'owner';
    case Sale = 'sale';
    case Donor = 'donor';
    case Scrap = 'scrap';
    case Unmended = 'unmended';

    /** As a person says where the machine goes. */
    public function words(): string
    {
        return match ($this) {
            self::Service => 'Back to service',
            self::Owner => 'To its owner',
            self::Sale => 'To sale',
            self::Donor => 'To the donor shelf',
            self::Scrap => 'To scrap',
            self::Unmended => 'Back to its owner unmended',
        };
    }

    /** It will run again, so every proof is owed and no red tag may be on. */
    public function runsAgain(): bool
    {
        return match ($this) {
            self::Service, self::Owner, self::Sale => true,
            self::Donor, self::Scrap, self::Unmended => false,
        };
    }

    /**
     * Where a machine can go, by whose it is.
     *
     * @param  string  $heldAs  owner, farm or resale
     * @return list<self> the usual one first
     */
    public static function forMachineHeldAs(string $heldAs): array
    {
        return match ($heldAs) {
            'owner' => [self::Owner, self::Unmended, self::Donor, self::Scrap],
            'farm' => [self::Service, self::Sale, self::Donor, self::Scrap],
            default => [self::Sale, self::Service, self::Donor, self::Scrap],
        };
    }
}
