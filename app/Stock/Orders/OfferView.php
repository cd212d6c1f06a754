<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Where a part can be bought. */
#[OA\Schema]
final readonly class OfferView extends View
{
    public function __construct(
        #[OA\Property] public string $supplier,
        #[OA\Property] public ?string $contact,
        #[OA\Property] public int $saysDays,
        #[OA\Property] public ?string $number,
        #[OA\Property] public int $pack,
        #[OA\Property] public int $packCostMinor,
        #[OA\Property(description: 'what a pack cost before')] public ?int $wasMinor,
        #[OA\Property] public ?string $changedAt,
        #[OA\Property(description: 'it is ordered there')] public bool $preferred,
        #[OA\Property] public float $leadDays,
    ) {
    }
}
