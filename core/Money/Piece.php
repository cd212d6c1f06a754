<?php

declare(strict_types=1);

namespace OddBench\Money;

/** A piece of a lot that was bought together. */
final readonly class Piece
{
    /**
     * @param  int  $worth  what it is worth by itself, minor units
     * @param  int|null  $sold  what it was sold for; null while it is here
     */
    public function __construct(public string $name, public int $worth, public ?int $sold = null)
    {
    }
}
