<?php

declare(strict_types=1);

namespace OddBench\Input;

use DomainException;

/** A value that cannot be used: names the field, says what is wrong and what would do. */
final class InputError extends DomainException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function at(string $field, string $message): self
    {
        return new self($field, $message);
    }

    /** @param  list<string>  $known */
    public static function unknown(string $field, string $what, string $given, array $known): self
    {
        $nearest = Nearest::to($given, $known);

        return new self($field, "There is no {$what} “{$given}”.".($nearest === null ? '' : " Did you mean “{$nearest}”?"));
    }
}
