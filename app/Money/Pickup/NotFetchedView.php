<?php

declare(strict_types=1);

namespace App\Money\Pickup;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Machines that are ready and not fetched, longest first. */
#[OA\Schema]
final readonly class NotFetchedView extends View
{
    /**
     * @param  list<PickupView>  $machines
     * @param  list<UntoldView>  $untold
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: PickupView::class))] public array $machines,
        #[OA\Property(type: 'array', items: new OA\Items(ref: UntoldView::class), description: 'ready, and its owner was not told yet')]
        public array $untold,
        #[OA\Property] public string $law,
    ) {
    }
}
