<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A part on the sheet of a bin: how many there should be is not said. */
#[OA\Schema]
final readonly class SheetLineView extends View
{
    public function __construct(
        #[OA\Property] public string $part,
        #[OA\Property] public string $name,
        #[OA\Property] public ?int $counted,
    ) {
    }
}
