<?php

declare(strict_types=1);

namespace OddBench\Input;

use DomainException;

/** A value that cannot be used: names the field, says what is wrong and what would do. */
final class InputError extends DomainException
{
    /** So much of what was given is said back. */
    private const SHOWN = 60;

    public readonly string $field;

    private function __construct(string $field, string $message)
    {
        // a name of a thousand letters helps nobody
        $this->field = mb_strcut(mb_scrub($field), 0, 4 * self::SHOWN);
        parent::__construct($message);
    }

    /** A message at a field, the way a person reads it. */
    public static function at(string $field, string $message): self
    {
        return new self($field, $message);
    }

    /** @param  list<string>  $known */
    public static function unknown(string $field, string $what, string $given, array $known): self
    {
        $nearest = Nearest::to($given, $known);
        $given = mb_strcut(mb_scrub($given), 0, self::SHOWN);

        return new self($field, "There is no {$what} “{$given}”.".($nearest === null ? '' : " Did you mean “{$nearest}”?"));
    }
}
