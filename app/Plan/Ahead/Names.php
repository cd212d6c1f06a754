<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use App\Shop\Person;
use App\Shop\Role;

/** Who works at the bench, each by a name of their own. One of these lives as long as a request. */
final class Names
{
    /** @var array<int, Person>|null by id, in order of their names */
    private ?array $people = null;

    /** @return array<int, Person> by id */
    public function people(): array
    {
        return $this->people ??= Person::query()->whereNull('left_at')
            ->whereIn('role', [Role::Technician->value, Role::Lead->value])->orderBy('name')->orderBy('id')->get()->keyBy('id')->all();
    }

    /** @return array<int, string> by id */
    public function all(): array
    {
        $people = $this->people();
        $count = array_count_values(array_map(static fn (Person $person): string => $person->name, $people));

        return array_map(
            static fn (Person $person): string => $count[$person->name] > 1 ? "{$person->name} ({$person->login})" : $person->name,
            $people,
        );
    }
}
