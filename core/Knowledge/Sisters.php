<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Why a find on one machine is a reason to look at the others, and how to look. */
final readonly class Sisters
{
    /**
     * @param  'mounting'|'batch'  $kind  put together alike, or delivered together
     * @param  string  $look  code of the check
     * @param  string|null  $part  class of the part a sister must have; null when its traits decide alone
     */
    public function __construct(public string $kind, public string $look, public ?string $part, public string $because)
    {
    }

    /** Can a machine of this family have it too? */
    public function include(Family $family, Fault $fault): bool
    {
        if (! Traits::of($family->traits)->allow($fault->needs)) {
            return false;
        }

        return $this->part === null || in_array(
            $this->part,
            array_map(static fn (Position $p): string => $p->partClass, $family->positions),
            true,
        );
    }
}
