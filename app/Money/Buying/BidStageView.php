<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A staged test: what was reckoned with, and how it went. */
#[OA\Schema]
final readonly class BidStageView extends View
{
    public function __construct(
        #[OA\Property] public int $place,
        #[OA\Property] public string $name,
        #[OA\Property] public int $costMinor,
        #[OA\Property(description: 'probability that it passes')] public float $passes,
        #[OA\Property(description: 'what it brings when it stops here')] public int $fallbackMinor,
        #[OA\Property(description: 'what stopping here is called')] public string $end,
        #[OA\Property(description: 'what the machine is worth before it')] public int $worthMinor,
        #[OA\Property(description: 'how that is worked out')] public string $because,
        #[OA\Property(description: 'doing it is better than stopping before it')] public bool $goOn,
        #[OA\Property(description: 'what it may cost before stopping is better')] public int $stopAboveMinor,
        #[OA\Property(description: 'what could be paid if it were sure to pass')] public int $ifSureMinor,
        #[OA\Property(enum: ['passed', 'failed', 'stopped'])] public ?string $outcome,
        #[OA\Property] public ?int $realMinor,
    ) {
    }
}
