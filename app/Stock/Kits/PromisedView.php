<?php

declare(strict_types=1);

namespace App\Stock\Kits;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A part promised to a job. */
#[OA\Schema]
final readonly class PromisedView extends View
{
    public function __construct(
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property] public int $quantity,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
    ) {
    }
}
