<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\View;
use OddBench\Instruments\Verdict;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class PastReadingView extends View
{
    public function __construct(
        #[OA\Property] public float $value,
        #[OA\Property(enum: Verdict::class)] public ?string $verdict,
        #[OA\Property] public ?float $hours,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property] public int $job,
    ) {
    }
}
