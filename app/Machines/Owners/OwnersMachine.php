<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Api\View;
use App\Machines\Place;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class OwnersMachine extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $family,
        #[OA\Property(enum: Place::class)] public string $place,
    ) {
    }
}
