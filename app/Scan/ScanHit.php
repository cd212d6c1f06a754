<?php

declare(strict_types=1);

namespace App\Scan;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Something the scan field found. */
#[OA\Schema]
final readonly class ScanHit extends View
{
    public function __construct(
        #[OA\Property(enum: HitKind::class)] public string $kind,
        #[OA\Property(description: 'tag, job number, part number or spool code')] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public string $detail,
        #[OA\Property] public bool $exact,
    ) {
    }
}
