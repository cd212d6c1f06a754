<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Api\View;
use App\Stock\Parts\PartView;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class ShelfView extends View
{
    /** @param  list<PartView>  $parts */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartView::class))] public array $parts,
        #[OA\Property] public int $all,
        #[OA\Property] public int $valueMinor,
        #[OA\Property] public ?string $next,
        #[OA\Property(description: 'nothing is called so; these are called nearly so')] public bool $guessed,
    ) {
    }
}
