<?php

declare(strict_types=1);

namespace App\Stock\Batches;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A receipt whose parts are not to be trusted. */
#[OA\Schema]
final readonly class BatchView extends View
{
    /**
     * @param  list<TracedView>  $traced
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $movement,
        #[OA\Property] public ?string $batch,
        #[OA\Property] public string $because,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'in the bin, by first in first out')] public int $leftLikely,
        #[OA\Property(description: 'in the bin at most')] public int $leftMost,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TracedView::class))] public array $traced,
    ) {
    }
}
