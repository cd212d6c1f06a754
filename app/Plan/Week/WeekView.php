<?php

declare(strict_types=1);

namespace App\Plan\Week;

use App\Api\View;
use OpenApi\Attributes as OA;

/** The days ahead by the plan. */
#[OA\Schema]
final readonly class WeekView extends View
{
    /**
     * @param  list<WeekDayView>  $days
     * @param  list<ReadyView>  $later
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: WeekDayView::class))] public array $days,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReadyView::class), description: 'after these days, or in no plan')]
        public array $later,
    ) {
    }
}
