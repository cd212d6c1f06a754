<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A promise that does not hold, and what would save it. */
#[OA\Schema]
final readonly class WarningView extends View
{
    /** @param  list<string>  $ways */
    public function __construct(
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property] public string $name,
        #[OA\Property] public string $words,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $ways,
    ) {
    }
}
