<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What is not in the plan, and why. */
#[OA\Schema]
final readonly class UnplannedView extends View
{
    public function __construct(
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property] public string $what,
        #[OA\Property] public string $because,
    ) {
    }
}
