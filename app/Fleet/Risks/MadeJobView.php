<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class MadeJobView extends View
{
    public function __construct(#[OA\Property] public string $tag, #[OA\Property] public int $job)
    {
    }
}
