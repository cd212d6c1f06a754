<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Tables that came in lately. */
#[OA\Schema]
final readonly class StockFilesView extends View
{
    /** @param  list<StockFileView>  $files */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: StockFileView::class))] public array $files,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public object $columns,
    ) {
    }
}
