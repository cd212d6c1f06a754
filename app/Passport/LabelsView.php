<?php

declare(strict_types=1);

namespace App\Passport;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class LabelsView extends View
{
    /** @param  list<LabelView>  $labels */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: LabelView::class))] public array $labels,
        #[OA\Property(description: 'of these in all')] public int $all,
    ) {
    }
}
