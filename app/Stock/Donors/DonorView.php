<?php

declare(strict_types=1);

namespace App\Stock\Donors;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A machine that is written off, and what it still has. */
#[OA\Schema]
final readonly class DonorView extends View
{
    /**
     * @param  list<DonorPositionView>  $positions
     */
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public ?float $hours,
        #[OA\Property] public bool $redTag,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DonorPositionView::class))] public array $positions,
    ) {
    }
}
