<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What was said of a claim. */
#[OA\Schema]
final readonly class ClaimWordView extends View
{
    public function __construct(
        #[OA\Property(enum: ['we', 'they'])] public string $saidBy,
        #[OA\Property] public string $text,
        #[OA\Property] public string $saidOn,
        #[OA\Property(description: 'who noted it')] public string $by,
    ) {
    }
}
