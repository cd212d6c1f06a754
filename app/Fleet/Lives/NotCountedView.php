<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Parts whose hours say nothing, and why. */
#[OA\Schema]
final readonly class NotCountedView extends View
{
    /** @param  list<string>  $tags  the first of their machines */
    public function __construct(
        #[OA\Property] public int $count,
        #[OA\Property] public string $why,
        #[OA\Property(description: 'what can be done about it')] public ?string $wayOut,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $tags,
    ) {
    }
}
