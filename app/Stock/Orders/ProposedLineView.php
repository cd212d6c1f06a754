<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A part that should be ordered, and why. */
#[OA\Schema]
final readonly class ProposedLineView extends View
{
    /** @param  list<string>  $waiting  tags of machines that wait for it */
    public function __construct(
        #[OA\Property] public string $part,
        #[OA\Property] public string $name,
        #[OA\Property] public ?string $suppliersNumber,
        #[OA\Property] public int $packs,
        #[OA\Property] public int $pack,
        #[OA\Property] public int $packCostMinor,
        #[OA\Property(description: 'what a pack cost before its price changed')] public ?int $wasMinor,
        #[OA\Property] public int $free,
        #[OA\Property] public int $reorderPoint,
        #[OA\Property] public float $risk,
        #[OA\Property] public ?float $coverWeeks,
        #[OA\Property] public string $because,
        #[OA\Property(description: 'that the last one of its kind went into use')] public ?string $last,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $waiting,
    ) {
    }
}
