<?php

declare(strict_types=1);

namespace App\Api;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Names and values, not a list. */
final class IsMap implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_array($value) || ($value !== [] && array_is_list($value))) {
            $fail('The :attribute must be names and values.');
        }
    }
}
