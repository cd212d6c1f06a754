<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class OwnerLine extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $company,
        #[OA\Property] public ?string $contact,
        #[OA\Property] public int $machines,
    ) {
    }
}
