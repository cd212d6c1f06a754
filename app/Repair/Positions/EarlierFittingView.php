<?php

declare(strict_types=1);

namespace App\Repair\Positions;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What sat in a position before. */
#[OA\Schema]
final readonly class EarlierFittingView extends View
{
    public function __construct(
        #[OA\Property] public ?string $part,
        #[OA\Property] public ?string $fittedAt,
        #[OA\Property] public ?string $removedAt,
        #[OA\Property(description: 'print hours')] public ?float $ran,
        #[OA\Property] public ?string $became,
        #[OA\Property] public ?string $reason,
    ) {
    }
}
