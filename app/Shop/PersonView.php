<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class PersonView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property(enum: Role::class)] public string $role,
        #[OA\Property] public bool $worksAtTheBench,
        #[OA\Property] public bool $meetsOwners,
        #[OA\Property] public bool $isLead,
        #[OA\Property(description: 'sets prices, posts stocktakes, applies tables')] public bool $keepsBooks,
        #[OA\Property(description: 'what things cost and bring is shown')] public bool $seesMoney,
        #[OA\Property] public bool $hasPin,
    ) {
    }

    public static function of(Person $person): self
    {
        return new self(
            $person->id,
            $person->name,
            $person->role->value,
            $person->role->worksAtTheBench(),
            $person->role->meetsOwners(),
            $person->role === Role::Lead,
            Ability::KeepBooks->of($person->role),
            Ability::SeeMoney->of($person->role, $person->sees_money),
            $person->pin !== null,
        );
    }
}
