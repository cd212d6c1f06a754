<?php

declare(strict_types=1);

namespace App\Machines\Families;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A family of the shop’s own that was taken away. */
#[OA\Schema]
final readonly class FamilyGone extends View
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property(description: 'the shipped one of this code stands again')] public bool $shipped,
    ) {
    }
}
