<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Whom a campaign would be about. */
#[OA\Schema]
final readonly class WhoView extends View
{
    /** @param  list<string>  $tags  the first of them */
    public function __construct(
        #[OA\Property] public int $all,
        #[OA\Property(description: 'in use, as far as anybody knows')] public int $running,
        #[OA\Property(description: 'with their owners')] public int $atOwners,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $tags,
    ) {
    }
}
