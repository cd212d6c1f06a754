<?php

declare(strict_types=1);

namespace App\Plan\Week;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A job that is ready on a day. */
#[OA\Schema]
final readonly class ReadyView extends View
{
    public function __construct(
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property] public string $name,
        #[OA\Property] public ?string $at,
        #[OA\Property] public ?string $due,
        #[OA\Property(description: 'days')] public int $late,
    ) {
    }
}
