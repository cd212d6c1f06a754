<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a machine read when it was last sent out well. */
#[OA\Schema]
final readonly class BaselineView extends View
{
    public function __construct(
        #[OA\Property] public float $value,
        #[OA\Property] public string $unit,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'the input it is handed to')] public ?string $hands,
    ) {
    }
}
