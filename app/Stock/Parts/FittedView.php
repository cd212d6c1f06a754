<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Where a part sits now. */
#[OA\Schema]
final readonly class FittedView extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $position,
        #[OA\Property] public string $since,
        #[OA\Property(description: 'run since it was fitted')] public ?float $hours,
    ) {
    }
}
