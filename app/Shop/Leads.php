<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Refused;
use Illuminate\Support\Collection;

/** A shop has somebody who leads it. */
final class Leads
{
    /**
     * @return Collection<int, int> ids; two who take each other’s lead away do so one after the other; “no key”, for each has
     *   noted its own key for this write already
     */
    public static function lock(): Collection
    {
        return Person::query()->where('role', Role::Lead)->whereNull('left_at')->orderBy('id')->lock('FOR NO KEY UPDATE')->pluck('id')
            ->map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0);
    }

    /**
     * @param  Collection<int, int>  $leads
     *
     * @throws Refused
     */
    public static function refuseLast(Person $person, Collection $leads): void
    {
        if ($leads->all() === [$person->id]) {
            throw Refused::because('role', "{$person->name} is the only lead. Make somebody else a lead first.");
        }
    }
}
