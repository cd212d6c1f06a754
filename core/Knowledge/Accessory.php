<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Something that usually comes along with a machine of such traits. */
final readonly class Accessory
{
    /** @param  array<string, list<string>>  $needs  trait => values of machines that have it */
    public function __construct(public string $code, public string $name, public array $needs)
    {
    }
}
