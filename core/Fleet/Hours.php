<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** Hours as they are said: to what matters of them. */
final class Hours
{
    public static function words(float $hours): string
    {
        $step = match (true) {
            $hours < 100 => 1,
            $hours < 1000 => 5,
            default => 10,
        };

        return number_format($step * round($hours / $step), 0, '.', ',').' h';
    }
}
