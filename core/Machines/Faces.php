<?php

declare(strict_types=1);

namespace OddBench\Machines;

/** The faces of a rail profile that can run: which have, and whether a fresh one is left. */
final readonly class Faces
{
    /**
     * @param  int  $all  how many this position allows, from 1 on
     * @param  list<int>  $turnedTo  faces it was turned to since it was fitted, in order; it began on face 1
     */
    public function __construct(public int $all, private array $turnedTo)
    {
    }

    /** The face in use, 1 for the first. */
    public function running(): int
    {
        return $this->turnedTo === [] ? 1 : $this->turnedTo[count($this->turnedTo) - 1];
    }

    /** @return list<int> */
    public function used(): array
    {
        return array_values(array_unique([1, ...$this->turnedTo]));
    }

    /** @return int|null the next fresh face; nothing when none is left */
    public function next(): ?int
    {
        $fresh = array_diff(range(1, max(1, $this->all)), $this->used());

        return $fresh === [] ? null : min($fresh);
    }

    /** How many faces have not been used. */
    public function left(): int
    {
        return max(0, $this->all - count($this->used()));
    }
}
