<?php

declare(strict_types=1);

namespace App\Diagnosis\Complaint;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a customer’s words may mean: findings to press, and statements of danger to answer. */
#[OA\Schema]
final readonly class ComplaintView extends View
{
    /**
     * @param  list<HeardView>  $findings  best first
     * @param  list<DangerRaisedView>  $danger  statements of danger a word of it raises
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: HeardView::class))] public array $findings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DangerRaisedView::class))] public array $danger,
    ) {
    }
}
