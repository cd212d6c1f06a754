<?php

declare(strict_types=1);

namespace App\Bench;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A machine under a red tag, for the side of the bench. */
#[OA\Schema]
final readonly class TaggedView extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public ?int $job,
        #[OA\Property] public string $reason,
        #[OA\Property] public string $since,
        #[OA\Property] public bool $wantsSignature,
    ) {
    }
}
