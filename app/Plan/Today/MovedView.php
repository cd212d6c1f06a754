<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a move costs and brings. */
#[OA\Schema]
final readonly class MovedView extends View
{
    /**
     * @param  list<string>  $costs
     * @param  list<string>  $gains
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $costs,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $gains,
        #[OA\Property(description: 'it was moved, not only tried')] public bool $kept,
    ) {
    }
}
