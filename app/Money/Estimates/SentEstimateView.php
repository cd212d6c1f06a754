<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\View;
use OpenApi\Attributes as OA;

/** An estimate that went to its owner, frozen as it was. */
#[OA\Schema]
final readonly class SentEstimateView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $number,
        #[OA\Property] public int $expectedMinor,
        #[OA\Property] public int $ceilingMinor,
        #[OA\Property] public int $inTen,
        #[OA\Property] public string $way,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'it stands')] public bool $stands,
        #[OA\Property(description: 'to copy')] public string $text,
        #[OA\Property] public ?OwnerAnswerView $answer,
    ) {
    }
}
