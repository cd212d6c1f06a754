<?php

declare(strict_types=1);

namespace App\Plan\Week;

use App\Api\View;
use OpenApi\Attributes as OA;

/** How much of somebody's day is planned. */
#[OA\Schema]
final readonly class LoadView extends View
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property(description: 'minutes they are here')] public int $here,
        #[OA\Property(description: 'minutes that are planned')] public int $planned,
    ) {
    }
}
