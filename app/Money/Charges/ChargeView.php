<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a job comes to before its bill is written. What it cost the shop is no part of it for whom it is not. */
#[OA\Schema]
final readonly class ChargeView extends View
{
    /**
     * @param  list<ChargeHandsView>  $hands
     * @param  list<LearningView>  $learning  first times, proposed to be left out
     * @param  list<ChargePartView>  $parts
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChargeHandsView::class))] public array $hands,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LearningView::class))] public array $learning,
        #[OA\Property(description: 'minutes left out')] public float $minutesOut,
        #[OA\Property] public int $minuteMinor,
        #[OA\Property] public int $handsMinor,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ChargePartView::class))] public array $parts,
        #[OA\Property] public int $partsMinor,
        #[OA\Property] public int $freightMinor,
        #[OA\Property] public int $netMinor,
        #[OA\Property] public float $taxPct,
        #[OA\Property] public int $taxMinor,
        #[OA\Property] public int $grossMinor,
        #[OA\Property(description: 'the least that is charged holds')] public bool $minimumHeld,
        #[OA\Property(description: 'why it is proposed to charge nothing')] public ?string $freeBecause,
        #[OA\Property(description: 'what it cost the shop')] public int $ownCostMinor,
    ) {
    }
}
