<?php

declare(strict_types=1);

namespace App\Plan\Promises;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Which day holds. */
#[OA\Schema]
final readonly class PromiseView extends View
{
    /** @param  list<DayChanceView>  $chances */
    public function __construct(
        #[OA\Property(description: 'ready by then in half of all cases; null when no day of the year holds')] public ?string $half,
        #[OA\Property] public ?string $eighty,
        #[OA\Property] public ?string $ninety,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DayChanceView::class))] public array $chances,
        #[OA\Property] public string $words,
    ) {
    }
}
