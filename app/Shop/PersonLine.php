<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class PersonLine extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $login,
        #[OA\Property] public string $name,
        #[OA\Property(enum: Role::class)] public string $role,
        #[OA\Property(description: 'has a code and has not set a password with it yet; until when it is good')] public ?string $codeUntil,
        #[OA\Property(description: 'may work on mains up to this day')] public ?string $mainsUntil,
        #[OA\Property(description: 'by whose word')] public ?string $mainsBy,
        #[OA\Property(description: 'what things cost and bring is shown, though the role does not say so')] public bool $seesMoney,
        #[OA\Property] public ?string $leftAt,
    ) {
    }

    public static function of(Person $person): self
    {
        return new self(
            $person->id,
            $person->login,
            $person->name,
            $person->role->value,
            $person->code === null ? null : $person->code_until?->toIso8601String(),
            $person->mains_until?->toDateString(),
            $person->mains_by,
            $person->sees_money,
            $person->left_at?->toIso8601String(),
        );
    }
}
