<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Claims, those first that are to be acted on. */
#[OA\Schema]
final readonly class ClaimsView extends View
{
    /**
     * @param  list<ClaimView>  $open
     * @param  list<ClaimView>  $closed
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClaimView::class))] public array $open,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClaimView::class))] public array $closed,
    ) {
    }
}
