<?php

declare(strict_types=1);

namespace App\Stock\Kits;

/** A guide’s kit against the shelf. */
final readonly class Kit
{
    /**
     * @param  list<KitLineView>  $lines
     * @param  int|null  $times  how often it can be done with what is free; nothing when it needs nothing
     * @param  list<string>  $shortest  what runs short first
     * @param  string|null  $couldStart  the day the last of what is short is expected, as 2026-11-25; nothing when nobody has ordered it
     */
    public function __construct(public array $lines, public ?int $times, public array $shortest, public ?string $couldStart)
    {
    }
}
