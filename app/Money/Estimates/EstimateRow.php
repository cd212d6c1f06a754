<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\View;
use OpenApi\Attributes as OA;

/** An estimate that was sent, in a list. */
#[OA\Schema]
final readonly class EstimateRow extends View
{
    public function __construct(
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public ?string $owner,
        #[OA\Property] public int $number,
        #[OA\Property] public int $expectedMinor,
        #[OA\Property] public int $ceilingMinor,
        #[OA\Property] public string $at,
        #[OA\Property] public ?OwnerAnswerView $answer,
        #[OA\Property(description: 'something was found since')] public bool $moved,
        #[OA\Property] public bool $finished,
    ) {
    }
}
