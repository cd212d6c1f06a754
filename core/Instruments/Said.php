<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** Figures in sentences: rounded for show only. */
final class Said
{
    /** As many digits as tell something: 9.148, 0.309, 110, 12500. */
    public static function figure(float $number): string
    {
        $size = abs($number);
        $digits = match (true) {
            $size >= 100 => 0,
            $size >= 10 => 1,
            $size >= 1 => 2,
            default => 3,
        };
        $text = number_format($number, $digits, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    /** A share as per cent, with its sign. */
    public static function percent(float $share): string
    {
        return self::figure(100 * $share).' %';
    }
}
