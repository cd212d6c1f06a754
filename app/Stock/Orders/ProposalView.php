<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What should be ordered from one supplier. */
#[OA\Schema]
final readonly class ProposalView extends View
{
    /** @param  list<ProposedLineView>  $lines  what jobs wait for first */
    public function __construct(
        #[OA\Property] public int $supplier,
        #[OA\Property] public string $name,
        #[OA\Property] public ?string $contact,
        #[OA\Property] public int $minimumMinor,
        #[OA\Property] public int $freightMinor,
        #[OA\Property(description: 'days it takes, by what it says and what came')] public float $leadDays,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProposedLineView::class))] public array $lines,
        #[OA\Property(description: 'lines that are left for the next order')] public int $more,
    ) {
    }
}
