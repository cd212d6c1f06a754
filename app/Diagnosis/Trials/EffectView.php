<?php

declare(strict_types=1);

namespace App\Diagnosis\Trials;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What going from one value of a setting to another does to the rating. */
#[OA\Schema]
final readonly class EffectView extends View
{
    public function __construct(
        #[OA\Property] public string $setting,
        #[OA\Property] public ?string $from,
        #[OA\Property] public ?string $to,
        #[OA\Property] public float $effect,
    ) {
    }
}
