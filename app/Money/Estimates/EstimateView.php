<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a job will come to, as far as it can be known. */
#[OA\Schema]
final readonly class EstimateView extends View
{
    /**
     * @param  list<EstimateLineView>  $lines
     * @param  list<string>  $certain
     * @param  list<string>  $open
     */
    public function __construct(
        #[OA\Property] public int $expectedMinor,
        #[OA\Property(description: 'not exceeded in so many of ten')] public int $ceilingMinor,
        #[OA\Property] public int $leastMinor,
        #[OA\Property] public int $mostMinor,
        #[OA\Property(description: 'of ten such jobs')] public int $inTen,
        #[OA\Property(type: 'array', items: new OA\Items(ref: EstimateLineView::class))] public array $lines,
        #[OA\Property(description: 'further ways, not told one by one')] public int $others,
        #[OA\Property(description: 'how likely they are together')] public float $othersProbability,
        #[OA\Property(description: 'of hands to find out, gone and still to come')] public int $findMinutes,
        #[OA\Property] public int $minuteMinor,
        #[OA\Property] public float $taxPct,
        #[OA\Property] public int $minimumMinor,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what is certain to be done')] public array $certain,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what it may be')] public array $open,
        #[OA\Property(description: 'the last finding it knows of')] public int $upToFinding,
        #[OA\Property] public string $because,
    ) {
    }
}
