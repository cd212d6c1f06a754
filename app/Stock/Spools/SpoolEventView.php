<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What happened to a spool. */
#[OA\Schema]
final readonly class SpoolEventView extends View
{
    public function __construct(
        #[OA\Property(enum: SpoolEventKind::class)] public string $kind,
        #[OA\Property(description: 'left after it')] public ?float $grams,
        #[OA\Property] public ?float $hours,
        #[OA\Property] public ?float $celsius,
        #[OA\Property] public ?int $job,
        #[OA\Property] public ?string $tag,
        #[OA\Property] public ?string $note,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
    ) {
    }
}
