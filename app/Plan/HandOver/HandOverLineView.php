<?php

declare(strict_types=1);

namespace App\Plan\HandOver;

use App\Api\View;
use OpenApi\Attributes as OA;

/** One thing the next shift must know. */
#[OA\Schema]
final readonly class HandOverLineView extends View
{
    public function __construct(
        #[OA\Property] public ?int $job,
        #[OA\Property] public ?string $tag,
        #[OA\Property] public string $words,
        #[OA\Property(description: 'how somebody is reached; null for whom that is not shown')] public ?string $contact = null,
        #[OA\Property(description: 'it cannot wait')] public bool $urgent = false,
    ) {
    }
}
