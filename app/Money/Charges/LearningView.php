<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a first time took longer than a practised one. */
#[OA\Schema]
final readonly class LearningView extends View
{
    public function __construct(
        #[OA\Property] public string $person,
        #[OA\Property] public string $guide,
        #[OA\Property] public float $minutes,
    ) {
    }
}
