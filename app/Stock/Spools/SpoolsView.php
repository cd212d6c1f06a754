<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Spools in use, and materials they can be of. */
#[OA\Schema]
final readonly class SpoolsView extends View
{
    /**
     * @param  list<SpoolView>  $spools
     * @param  list<string>  $materials
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: SpoolView::class))] public array $spools,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $materials,
    ) {
    }
}
