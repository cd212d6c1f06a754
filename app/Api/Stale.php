<?php

declare(strict_types=1);

namespace App\Api;

use RuntimeException;

/** An edit made from an older version than the one that stands; says what changed since. */
final class Stale extends RuntimeException
{
    /** @param  list<string>  $changes */
    private function __construct(public readonly array $changes, public readonly int $version)
    {
        parent::__construct(
            'Somebody else changed this since you opened it: '.implode(' · ', $changes).' Look at it again, then do what is still right.',
        );
    }

    /** @param  list<string>  $changes */
    public static function since(array $changes, int $version): self
    {
        return new self($changes, $version);
    }
}
