<?php

declare(strict_types=1);

namespace App\Intake;

/** A line for the record: what kind of thing happened, and the sentence people read. */
final readonly class Said
{
    public function __construct(public string $kind, public string $text)
    {
    }
}
