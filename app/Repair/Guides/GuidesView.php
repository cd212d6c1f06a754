<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Every guide. */
#[OA\Schema]
final readonly class GuidesView extends View
{
    /**
     * @param  list<GuideLineView>  $guides
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: GuideLineView::class))] public array $guides,
    ) {
    }
}
