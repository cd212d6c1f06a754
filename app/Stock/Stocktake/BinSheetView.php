<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What is counted in a bin. */
#[OA\Schema]
final readonly class BinSheetView extends View
{
    /** @param  list<SheetLineView>  $lines */
    public function __construct(
        #[OA\Property] public string $bin,
        #[OA\Property] public string $by,
        #[OA\Property] public bool $done,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SheetLineView::class))] public array $lines,
    ) {
    }
}
