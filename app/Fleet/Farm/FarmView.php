<?php

declare(strict_types=1);

namespace App\Fleet\Farm;

use App\Api\View;
use OpenApi\Attributes as OA;

/** All machines of the farm, as they stand. */
#[OA\Schema]
final readonly class FarmView extends View
{
    /**
     * @param  list<RackView>  $racks  as they stand
     * @param  list<FarmFamilyView>  $families
     * @param  list<FarmMachineView>  $machines  by tag
     */
    public function __construct(
        #[OA\Property(enum: [1, 2, 4, 8])] public int $weeks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RackView::class))] public array $racks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FarmFamilyView::class))] public array $families,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FarmMachineView::class))] public array $machines,
        #[OA\Property(description: 'there are more than are shown')] public bool $more,
        #[OA\Property(description: 'hours they ran last week, all together')] public float $hoursLastWeek,
        #[OA\Property(description: 'a part this likely to fail is marked')] public float $likely,
    ) {
    }
}
