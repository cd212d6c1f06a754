<?php

declare(strict_types=1);

namespace App\Shop\Tablets;

use App\Api\View;
use App\Shop\Person;
use App\Shop\Role;
use OpenApi\Attributes as OA;

/** Somebody who may take a shared tablet over by PIN, or sign on it. */
#[OA\Schema]
final readonly class TabletPerson extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $isLead,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_values(Person::query()->whereNotNull('pin')->whereNull('left_at')->orderBy('name')->get()
            ->map(static fn (Person $person): self => new self($person->id, $person->name, $person->role === Role::Lead))
            ->all());
    }
}
