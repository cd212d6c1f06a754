<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Machines on offer. */
#[OA\Schema]
final readonly class OffersView extends View
{
    /** @param  list<OfferLine>  $offers */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: OfferLine::class))] public array $offers,
    ) {
    }
}
