<?php

declare(strict_types=1);

namespace App\Money\Charges;

use OddBench\Intake\Station;

/** What one person’s hands took at one station. */
final readonly class HandsMinutes
{
    public function __construct(public Station $station, public int $person, public string $name, public float $minutes)
    {
    }
}
