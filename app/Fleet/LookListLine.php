<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A look-list on one line; in a passport with what is known of that machine. */
#[OA\Schema]
final readonly class LookListLine extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $look,
        #[OA\Property] public int $all,
        #[OA\Property] public int $looked,
        #[OA\Property] public int $affected,
        #[OA\Property] public bool $closed,
        #[OA\Property(description: 'of the machine in question; null while nobody looked')] public ?bool $here,
    ) {
    }
}
