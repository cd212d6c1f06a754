<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A stage of a proof run. */
#[OA\Schema]
final readonly class StageView extends View
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(enum: StageStanding::class)] public string $standing,
        #[OA\Property] public ?string $words,
    ) {
    }
}
