<?php

declare(strict_types=1);

namespace App\Plan\Week;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A day of the plan. */
#[OA\Schema]
final readonly class WeekDayView extends View
{
    /**
     * @param  list<LoadView>  $loads
     * @param  list<ReadyView>  $ready
     * @param  list<string>  $parts
     */
    public function __construct(
        #[OA\Property] public string $day,
        #[OA\Property(description: 'why it is shut; null when it is open')] public ?string $shut,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LoadView::class))] public array $loads,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReadyView::class), description: 'ready on that day by the plan')]
        public array $ready,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'parts that come')] public array $parts,
    ) {
    }
}
