<?php

declare(strict_types=1);

namespace App\Api;

use RuntimeException;

/** Something that cannot be done as things stand; says why and what would help. */
final class Refused extends RuntimeException
{
    /** @param  list<string>  $reasons */
    private function __construct(public readonly string $field, public readonly array $reasons, public readonly int $status)
    {
        parent::__construct(implode(' ', $reasons));
    }

    public static function because(string $field, string ...$reasons): self
    {
        return new self($field, array_values($reasons), 409);
    }

    public static function notFound(string $field, string $reason): self
    {
        return new self($field, [$reason], 404);
    }
}
