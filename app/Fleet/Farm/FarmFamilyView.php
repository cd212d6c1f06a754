<?php

declare(strict_types=1);

namespace App\Fleet\Farm;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A family on the farm, and how it is drawn. */
#[OA\Schema]
final readonly class FarmFamilyView extends View
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'bedslinger, corexy, delta, cantilever or gantry; null where nobody wrote it down')]
        public ?string $motion,
        #[OA\Property(description: 'it has walls')] public bool $closed,
    ) {
    }
}
