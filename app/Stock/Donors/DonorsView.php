<?php

declare(strict_types=1);

namespace App\Stock\Donors;

use App\Api\View;
use OpenApi\Attributes as OA;

/** All donors, the latest first. */
#[OA\Schema]
final readonly class DonorsView extends View
{
    /**
     * @param  list<DonorView>  $donors
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: DonorView::class))] public array $donors,
    ) {
    }
}
