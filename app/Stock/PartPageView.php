<?php

declare(strict_types=1);

namespace App\Stock;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A part with its movements. */
#[OA\Schema]
final readonly class PartPageView extends View
{
    /** @param  list<MovementView>  $movements  newest first */
    public function __construct(
        #[OA\Property] public PartView $part,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MovementView::class))] public array $movements,
        #[OA\Property] public ?SupplyView $supply,
    ) {
    }
}
