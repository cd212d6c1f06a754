<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class SheetInputView extends View
{
    /** @param  list<string>  $choices */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $label,
        #[OA\Property] public string $unit,
        #[OA\Property(enum: InputKind::class)] public string $kind,
        #[OA\Property] public string $start,
        #[OA\Property] public bool $optional,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $choices,
        #[OA\Property] public string $accept,
    ) {
    }
}
