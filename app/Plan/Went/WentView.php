<?php

declare(strict_types=1);

namespace App\Plan\Went;

use App\Api\View;
use OpenApi\Attributes as OA;

/** How some days went. */
#[OA\Schema]
final readonly class WentView extends View
{
    /**
     * @param  list<StationMinutesView>  $stations
     * @param  list<WaitView>  $waits
     */
    public function __construct(
        #[OA\Property] public string $from,
        #[OA\Property] public string $to,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StationMinutesView::class))] public array $stations,
        #[OA\Property(type: 'array', items: new OA\Items(ref: WaitView::class), description: 'the dearest first')] public array $waits,
        #[OA\Property(description: 'the one wait that costs most, in words; null when nothing waited')] public ?string $dearest,
        #[OA\Property(description: 'promises that fell into these days')] public int $promised,
        #[OA\Property] public int $kept,
        #[OA\Property(description: 'machines in the shop on the average')] public float $work,
        #[OA\Property(description: 'machines a day')] public float $rate,
        #[OA\Property(description: 'days each was here within these days')] public float $time,
        #[OA\Property] public int $came,
        #[OA\Property] public int $left,
        #[OA\Property(description: 'days those that left had been here in all')] public float $stay,
    ) {
    }
}
