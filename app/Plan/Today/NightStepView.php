<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Something that could be started before everybody goes. */
#[OA\Schema]
final readonly class NightStepView extends View
{
    public function __construct(
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property] public string $what,
        #[OA\Property(description: 'minutes')] public int $hands,
        #[OA\Property(description: 'minutes it then goes by itself')] public int $alone,
        #[OA\Property(description: 'why it is not started, or not left alone; null where it is')] public ?string $because,
        #[OA\Property(description: 'it is under way by then, and on until so late')] public ?string $until = null,
    ) {
    }
}
