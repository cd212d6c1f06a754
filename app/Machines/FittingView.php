<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A position and what sits in it. */
#[OA\Schema]
final readonly class FittingView extends View
{
    public function __construct(
        #[OA\Property] public string $position,
        #[OA\Property] public string $name,
        #[OA\Property] public string $partClass,
        #[OA\Property] public ?string $part,
        #[OA\Property] public ?string $fittedAt,
        #[OA\Property] public ?float $fittedHours,
        #[OA\Property] public ?float $hoursOnIt,
        #[OA\Property] public int $replacements,
    ) {
    }
}
