<?php

declare(strict_types=1);

namespace App\Proof;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A proof that is owed, and how it stands. */
#[OA\Schema]
final readonly class ProofView extends View
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public string $stage,
        #[OA\Property] public string $stageName,
        #[OA\Property] public string $how,
        #[OA\Property] public string $because,
        #[OA\Property] public ?string $unit,
        #[OA\Property] public string $limits,
        #[OA\Property] public ?string $caution,
        #[OA\Property] public ?string $failsAs,
        #[OA\Property(enum: ProofStanding::class)] public string $standing,
        #[OA\Property] public ?float $value,
        #[OA\Property] public ?string $by,
        #[OA\Property] public ?string $at,
        #[OA\Property(description: 'why a lead waived it')] public ?string $waived,
        #[OA\Property] public bool $mayBeWaived,
        #[OA\Property(description: 'its value can be read out of a temperature log')] public bool $byLog,
        #[OA\Property(description: 'G-code for this machine that shows it')] public ?string $print,
        #[OA\Property] public ?string $note,
        #[OA\Property(description: 'address of the photograph')] public ?string $photograph,
    ) {
    }
}
