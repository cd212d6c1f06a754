<?php

declare(strict_types=1);

namespace App\Fleet\Hold;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A machine that comes in more often than it should. */
#[OA\Schema]
final readonly class HoldLineView extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public string $heldAs,
        #[OA\Property] public int $visits,
        #[OA\Property(description: 'print hours since it is known')] public float $hours,
        #[OA\Property(description: 'as it goes now')] public ?float $nowBetween,
        #[OA\Property] public ?float $sistersBetween,
        #[OA\Property(description: 'how sure that it gets worse or is worse than its sisters, 0 to 1')] public float $sure,
        #[OA\Property] public string $because,
        #[OA\Property(description: 'its open job, or its last')] public int $job,
    ) {
    }
}
