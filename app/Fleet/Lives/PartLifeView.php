<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use App\Api\View;
use OpenApi\Attributes as OA;

/** One part’s life. */
#[OA\Schema]
final readonly class PartLifeView extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $position,
        #[OA\Property] public float $hours,
        #[OA\Property(description: 'the day it was taken out')] public ?string $endedOn,
    ) {
    }
}
