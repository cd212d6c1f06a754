<?php

declare(strict_types=1);

namespace App\Fleet\Hold;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Machines that do not hold, and repairs that come back. */
#[OA\Schema]
final readonly class HoldView extends View
{
    /**
     * @param  list<HoldLineView>  $machines  the surest first
     * @param  list<ComebackView>  $faults  what came back most first
     * @param  list<ComebackView>  $people  each against what is usual of such jobs
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: HoldLineView::class))] public array $machines,
        #[OA\Property(description: 'machines that were judged')] public int $judged,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ComebackView::class))] public array $faults,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ComebackView::class))] public array $people,
        #[OA\Property(description: 'repairs of the last two years')] public int $repairs,
    ) {
    }
}
