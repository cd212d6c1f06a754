<?php

declare(strict_types=1);

namespace OddBench\Shop;

/** What may be a PIN: six digits, and none of those somebody tries who looks over a shoulder once (common practice). */
final readonly class PinRule
{
    public const DIGITS = 6;

    /** Why it may not be one, in words; null when it may. */
    public static function refusal(string $pin): ?string
    {
        if (preg_match('/^\d{'.self::DIGITS.'}$/', $pin) !== 1) {
            return sprintf('A PIN is %d digits.', self::DIGITS);
        }
        $digits = array_map(intval(...), str_split($pin));
        $steps = [];
        for ($i = 1; $i < self::DIGITS; $i++) {
            $steps[] = ($digits[$i] - $digits[$i - 1] + 10) % 10;
        }
        // all the same, up or down by ones, or the same two or three digits over again
        $even = count(array_unique($steps)) === 1 && in_array($steps[0], [0, 1, 9], true);
        $again = substr($pin, 0, 2) === substr($pin, 2, 2)
            && substr($pin, 2, 2) === substr($pin, 4, 2)
            || substr($pin, 0, 3) === substr($pin, 3, 3);

        // one or two digits in all, or three pairs
        $few = count(array_unique($digits)) <= 2 || preg_match('/^(\d)\1(\d)\2(\d)\3$/', $pin) === 1;

        return $even || $again || $few ? 'That PIN is tried first. Take six digits without a row in them.' : null;
    }
}
