<?php

declare(strict_types=1);

namespace App\Money\Ledger;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A machine for resale from bid to sale. */
#[OA\Schema]
final readonly class ResaleLine extends View
{
    public function __construct(
        #[OA\Property] public int $offer,
        #[OA\Property] public ?string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public string $bidAt,
        #[OA\Property] public ?string $decidedAt,
        #[OA\Property] public ?string $soldAt,
        #[OA\Property] public ?int $boughtMinor,
        #[OA\Property(description: 'freight, missing things, selling, parts used')] public int $spentMinor,
        #[OA\Property] public ?int $soldMinor,
        #[OA\Property] public ?int $madeMinor,
        #[OA\Property] public ?int $perHourMinor,
        #[OA\Property] public string $stands,
        #[OA\Property] public bool $stopNow,
    ) {
    }
}
