<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

/** The next thing in a story: who does it, how long it takes, how long after the last. */
final readonly class Beat
{
    public function __construct(public string $who, public int $minutes, public int $waitMinutes = 0)
    {
    }
}
