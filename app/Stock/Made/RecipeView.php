<?php

declare(strict_types=1);

namespace App\Stock\Made;

use App\Api\View;
use OpenApi\Attributes as OA;

/** How a part is made here, and what one costs. */
#[OA\Schema]
final readonly class RecipeView extends View
{
    public function __construct(
        #[OA\Property] public string $material,
        #[OA\Property] public float $grams,
        #[OA\Property] public float $lengthM,
        #[OA\Property] public int $pricePerKgMinor,
        #[OA\Property] public float $printMinutes,
        #[OA\Property] public float $handMinutes,
        #[OA\Property] public int $materialMinor,
        #[OA\Property] public int $handsMinor,
        #[OA\Property] public ?string $fileName,
        #[OA\Property] public ?string $how,
    ) {
    }
}
