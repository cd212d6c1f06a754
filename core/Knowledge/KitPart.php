<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** A part a guide needs. */
final readonly class KitPart
{
    /**
     * @param  string  $class  of part
     * @param  bool  $ifNeeded  only when the old one is found bad; it does not keep the work from starting
     * @param  string|null  $school  only for those who do it this way
     */
    public function __construct(public string $class, public int $count, public bool $ifNeeded, public ?string $school)
    {
    }
}
