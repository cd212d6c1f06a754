<?php

declare(strict_types=1);

namespace App\Plan\Week;

final readonly class WeekController
{
    public function show(WeekQuery $week): WeekView
    {
        return $week->read();
    }
}
