<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use App\Api\View;
use OpenApi\Attributes as OA;

/** How long parts of a group last: the curve, who failed and who runs, when to change one, what is to come. */
#[OA\Schema]
final readonly class LifeView extends View
{
    /**
     * @param  list<CurvePointView>  $curve
     * @param  list<PartLifeView>  $failed  in order of their hours
     * @param  list<PartLifeView>  $runs  in order of their hours
     * @param  list<NotCountedView>  $notCounted
     * @param  list<LifeLineView>  $makes
     * @param  list<LifeLineView>  $families
     * @param  list<LifeLineView>  $circumstances
     * @param  list<float>  $atLeast  P(at least 0, 1, 2, … fail) within the hours ahead
     */
    public function __construct(
        #[OA\Property] public LifeLineView $of,
        #[OA\Property] public string $className,
        #[OA\Property(description: 'one plain sentence')] public string $because,
        #[OA\Property(description: 'half have failed by then')] public float $medianHours,
        #[OA\Property(description: 'they wear out: the older, the likelier')] public bool $wearsOut,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CurvePointView::class))] public array $curve,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartLifeView::class))] public array $failed,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartLifeView::class))] public array $runs,
        #[OA\Property(description: 'taken out while they still worked')] public int $takenOutWorking,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NotCountedView::class))] public array $notCounted,
        #[OA\Property(description: 'null: not by the clock')] public ?float $changeAtHours,
        #[OA\Property(description: 'from there on it costs within 1 % of the best')] public ?float $flatFromHours,
        #[OA\Property] public ?float $flatToHours,
        #[OA\Property] public string $changeBecause,
        #[OA\Property(description: 'minor units; null for those who do not see money')] public ?int $plannedMinor,
        #[OA\Property] public ?int $failureMinor,
        #[OA\Property(description: 'minor units an hour, changed at that age')] public ?float $costPerHour,
        #[OA\Property(description: 'run until it fails')] public ?float $toFailurePerHour,
        #[OA\Property(description: 'hours each of those that run is looked ahead')] public float $aheadHours,
        #[OA\Property] public int $inUse,
        #[OA\Property] public float $expected,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $atLeast,
        #[OA\Property(description: 'so many are enough in 9 of 10 cases')] public int $enough,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LifeLineView::class))] public array $makes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LifeLineView::class))] public array $families,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LifeLineView::class))] public array $circumstances,
    ) {
    }
}
