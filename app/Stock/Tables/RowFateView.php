<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What becomes of a row of a table. */
#[OA\Schema]
final readonly class RowFateView extends View
{
    public function __construct(
        #[OA\Property] public int $line,
        #[OA\Property(enum: Fate::class)] public string $fate,
        #[OA\Property] public string $what,
        #[OA\Property] public ?string $field,
        #[OA\Property] public string $message,
    ) {
    }
}
