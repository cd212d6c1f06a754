<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A table that came in, and what becomes of its rows. */
#[OA\Schema]
final readonly class StockFileView extends View
{
    /** @param  list<RowFateView>  $rows */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: TableKind::class)] public string $kind,
        #[OA\Property] public string $name,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property] public ?string $appliedAt,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))] public object $counts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RowFateView::class))] public array $rows,
        #[OA\Property(description: 'rows to skip for the next page')] public ?int $next,
    ) {
    }
}
