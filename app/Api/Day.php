<?php

declare(strict_types=1);

namespace App\Api;

use Closure;
use DateTimeImmutable;
use Illuminate\Contracts\Validation\ValidationRule;

/** A day as it stands in a calendar. */
final readonly class Day implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        // what is no text is not looked at as a day, and a day that no month has is none
        $day = is_string($value) && preg_match('/^\d{4}-\d{2}-\d{2}$/D', $value) === 1
            ? DateTimeImmutable::createFromFormat('!Y-m-d', $value)
            : false;
        if ($day === false || $day->format('Y-m-d') !== $value) {
            $fail('Write the day as 2026-11-25.');
        }
    }
}
