<?php

declare(strict_types=1);

namespace App\Repair\Positions;

use App\Api\View;
use OddBench\Machines\Worn;
use OpenApi\Attributes as OA;

/** A position and what sits in it. */
#[OA\Schema]
final readonly class FittingView extends View
{
    /**
     * @param  list<int>  $facesUsed
     * @param  list<EarlierFittingView>  $earlier  newest first
     */
    public function __construct(
        #[OA\Property] public string $position,
        #[OA\Property] public string $name,
        #[OA\Property] public string $partClass,
        #[OA\Property] public ?string $part,
        #[OA\Property] public ?string $fittedAt,
        #[OA\Property] public ?float $fittedHours,
        #[OA\Property] public ?float $hoursOnIt,
        #[OA\Property(description: 'its machine’s counter was not read since it stood, so the hours are estimated')] public bool $about,
        #[OA\Property] public int $replacements,
        #[OA\Property(description: 'where it sits on the drawn machine')] public ?string $place,
        #[OA\Property(description: 'print hours it usually lasts')] public ?float $lifeHours,
        #[OA\Property(description: 'share of that life, past 1 when it has outlived it')] public ?float $lifeShare,
        #[OA\Property(enum: Worn::class)] public string $worn,
        #[OA\Property] public int $faces,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $facesUsed,
        #[OA\Property] public bool $upgrade,
        #[OA\Property(description: 'something was taken out and nothing fitted since')] public bool $empty,
        #[OA\Property] public ?string $reason,
        #[OA\Property] public ?string $by,
        #[OA\Property(type: 'array', items: new OA\Items(ref: EarlierFittingView::class))] public array $earlier,
    ) {
    }
}
