<?php

declare(strict_types=1);

namespace App\Machines\Owners;

/** A room that tells owners something, and remembers it. */
interface SaysToOwner
{
    public const TAG = 'says to owner';

    /** @return list<ToldLine> what this owner was told, newest first */
    public function told(Owner $owner): array;

    /** @return array<string, mixed> all it keeps of this owner's machines, for an export: name of what => lines */
    public function keeps(Owner $owner): array;

    /** An owner is erased: what was said of and by them goes. Inside a running write. */
    public function forgets(Owner $owner): void;
}
