<?php

declare(strict_types=1);

namespace App\Plan\Went;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What machines waited for. */
#[OA\Schema]
final readonly class WaitView extends View
{
    public function __construct(
        #[OA\Property] public string $cause,
        #[OA\Property] public string $name,
        #[OA\Property] public int $jobs,
        #[OA\Property] public float $days,
        #[OA\Property(description: 'what that cost; null for whom money is not shown')] public ?int $costMinor,
    ) {
    }
}
