<?php

declare(strict_types=1);

namespace App\Machines\Owners;

/** What every room has told an owner, and keeps of their machines. */
final readonly class AllTold
{
    /** @param  iterable<SaysToOwner>  $rooms */
    public function __construct(private iterable $rooms)
    {
    }

    /** @return list<ToldLine> */
    public function told(Owner $owner): array
    {
        $told = [];
        foreach ($this->rooms as $room) {
            array_push($told, ...$room->told($owner));
        }

        return $told;
    }

    /** @return array<string, mixed> */
    public function keeps(Owner $owner): array
    {
        $all = [];
        foreach ($this->rooms as $room) {
            $all = [...$all, ...$room->keeps($owner)];
        }

        return $all;
    }
}
