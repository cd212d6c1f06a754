<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A finding made or withdrawn, as a step on the time axis of the belief chart. */
#[OA\Schema]
final readonly class MoveView extends View
{
    public function __construct(
        #[OA\Property(description: 'null before anything was known')] public ?string $finding,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $present,
        #[OA\Property] public bool $withdrawn,
        #[OA\Property] public ?string $at,
    ) {
    }
}
