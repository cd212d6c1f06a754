<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A part a guide needs. */
#[OA\Schema]
final readonly class KitNeedView extends View
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public int $count,
        #[OA\Property] public bool $ifNeeded,
        #[OA\Property] public ?string $school,
    ) {
    }
}
