<?php

declare(strict_types=1);

namespace OddBench\Practice;

/** What there is to practise with: written machines, and the checklist others would go by. */
final readonly class Practice
{
    /**
     * @param  array<string, Story>  $stories  by code
     * @param  list<string>  $checklist  check codes in a fixed order
     */
    public function __construct(public array $stories, public array $checklist)
    {
    }
}
