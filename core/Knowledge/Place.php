<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** A place on the drawn machine and what can be seen there. */
final readonly class Place
{
    /**
     * @param  array<string, list<string>>  $needs  trait => values a machine must have to have this place
     * @param  list<string>  $findings  codes
     */
    public function __construct(public string $code, public string $name, public array $needs, public array $findings)
    {
    }
}
