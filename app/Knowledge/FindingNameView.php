<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class FindingNameView extends View
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public string $group,
        #[OA\Property] public bool $redTag,
    ) {
    }
}
