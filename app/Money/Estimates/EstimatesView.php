<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Estimates that stand, those that wait for an answer first, longest first. */
#[OA\Schema]
final readonly class EstimatesView extends View
{
    /** @param  list<EstimateRow>  $estimates */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: EstimateRow::class))] public array $estimates,
        #[OA\Property(description: 'wait for an answer')] public int $waiting,
    ) {
    }
}
