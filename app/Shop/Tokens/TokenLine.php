<?php

declare(strict_types=1);

namespace App\Shop\Tokens;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class TokenLine extends View
{
    /** @param  list<string>  $rights */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $person,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $rights,
        #[OA\Property] public string $until,
        #[OA\Property] public ?string $lastUsed,
    ) {
    }
}
