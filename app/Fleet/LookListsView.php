<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class LookListsView extends View
{
    /** @param  list<LookListLine>  $lists  open ones first, newest first */
    public function __construct(#[OA\Property(type: 'array', items: new OA\Items(ref: LookListLine::class))] public array $lists)
    {
    }
}
