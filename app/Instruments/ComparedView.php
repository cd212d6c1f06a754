<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Earlier readings of a machine, newest first, and the spread over its sisters. */
#[OA\Schema]
final readonly class ComparedView extends View
{
    /** @param  list<PastReadingView>  $earlier */
    public function __construct(
        #[OA\Property] public string $unit,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PastReadingView::class))] public array $earlier,
        #[OA\Property(description: 'machines of the family with such a reading')] public int $sisters,
        #[OA\Property] public ?float $median,
        #[OA\Property] public ?float $least,
        #[OA\Property] public ?float $most,
        #[OA\Property(description: 'what it read when it was last sent out well')] public ?BaselineView $baseline,
    ) {
    }
}
