<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class OwnersView extends View
{
    /** @param  list<OwnerLine>  $owners */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: OwnerLine::class))] public array $owners,
        #[OA\Property(description: 'of these in all')] public int $all,
    ) {
    }
}
