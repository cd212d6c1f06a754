<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Which figure of a well reading stays as a machine’s baseline, and which input it is handed to later. */
final readonly class BaselineOf
{
    public function __construct(public string $key, public string $unit, public ?string $hands)
    {
    }

    /**
     * @param  array<string, mixed>  $input
     * @param  array<string, mixed>  $result
     */
    public function value(array $input, array $result): ?float
    {
        $value = $result[$this->key] ?? $input[$this->key] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }
}
