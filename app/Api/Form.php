<?php

declare(strict_types=1);

namespace App\Api;

use Illuminate\Foundation\Http\FormRequest;

/** A request with a body or a query that has rules. */
abstract class Form extends FormRequest
{
    /** What was typed, without blanks around it; nothing when nothing was. */
    public function words(string $key): ?string
    {
        return $this->filled($key) ? $this->string($key)->trim()->toString() : null;
    }

    public function wholeOrNull(string $key): ?int
    {
        return $this->filled($key) ? $this->integer($key) : null;
    }

    public function numberOrNull(string $key): ?float
    {
        return $this->filled($key) ? $this->float($key) : null;
    }
}
