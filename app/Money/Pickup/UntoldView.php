<?php

declare(strict_types=1);

namespace App\Money\Pickup;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A machine that is ready, its owner not told yet. */
#[OA\Schema]
final readonly class UntoldView extends View
{
    public function __construct(
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public ?string $owner,
        #[OA\Property] public string $since,
    ) {
    }
}
