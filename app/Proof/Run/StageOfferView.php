<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A stage a run would do now. */
#[OA\Schema]
final readonly class StageOfferView extends View
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 's, about')] public float $aboutS,
        #[OA\Property(description: 'every run does it')] public bool $always,
    ) {
    }
}
