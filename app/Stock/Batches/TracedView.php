<?php

declare(strict_types=1);

namespace App\Stock\Batches;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Something of a batch that went out. */
#[OA\Schema]
final readonly class TracedView extends View
{
    public function __construct(
        #[OA\Property] public int $movement,
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property] public ?string $position,
        #[OA\Property] public string $at,
        #[OA\Property(enum: Traced::class)] public string $odds,
        #[OA\Property(description: 'it sits where it was fitted')] public bool $stillThere,
    ) {
    }
}
