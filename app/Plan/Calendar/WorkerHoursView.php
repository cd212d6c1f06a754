<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Hours of somebody who works at the bench. */
#[OA\Schema]
final readonly class WorkerHoursView extends View
{
    /** @param  list<OpenHoursView>  $week  none: whenever the shop is open */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OpenHoursView::class), description: 'none: whenever the shop is open')]
        public array $week,
    ) {
    }
}
