<?php

declare(strict_types=1);

namespace App\Money\Pickup;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A letter to an owner who has not come. */
#[OA\Schema]
final readonly class LetterView extends View
{
    public function __construct(
        #[OA\Property] public int $afterDays,
        #[OA\Property(description: 'when it went')] public ?string $at,
        #[OA\Property(description: 'to copy')] public string $text,
    ) {
    }
}
