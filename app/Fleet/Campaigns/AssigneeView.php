<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Somebody who may be given a campaign. */
#[OA\Schema]
final readonly class AssigneeView extends View
{
    public function __construct(#[OA\Property] public int $id, #[OA\Property] public string $name)
    {
    }
}
