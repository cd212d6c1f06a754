<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A place on a paper. */
#[OA\Schema]
final readonly class PaperMarkView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $page,
        #[OA\Property(description: '0 to 1 from the left')] public ?float $x,
        #[OA\Property(description: '0 to 1 from the top')] public ?float $y,
        #[OA\Property(enum: MarkKind::class)] public string $kind,
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
    ) {
    }
}
