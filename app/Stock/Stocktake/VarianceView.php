<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A count that is not what the shelf said. */
#[OA\Schema]
final readonly class VarianceView extends View
{
    public function __construct(
        #[OA\Property] public string $part,
        #[OA\Property] public string $name,
        #[OA\Property] public string $bin,
        #[OA\Property] public int $counted,
        #[OA\Property] public int $expected,
        #[OA\Property] public int $pieces,
        #[OA\Property] public int $valueMinor,
        #[OA\Property] public string $by,
    ) {
    }
}
