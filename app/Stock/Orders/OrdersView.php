<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What to order, and what is on its way. */
#[OA\Schema]
final readonly class OrdersView extends View
{
    /**
     * @param  list<ProposalView>  $proposals
     * @param  list<OrderView>  $open  the oldest first
     * @param  list<OrderView>  $closed  the newest first
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProposalView::class))] public array $proposals,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OrderView::class))] public array $open,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OrderView::class))] public array $closed,
        #[OA\Property(description: 'parts that are bought nowhere yet')] public int $unsupplied,
    ) {
    }
}
