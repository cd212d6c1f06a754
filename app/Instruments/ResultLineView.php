<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class ResultLineView extends View
{
    public function __construct(
        #[OA\Property] public string $label,
        #[OA\Property] public string $value,
        #[OA\Property] public string $unit,
    ) {
    }
}
