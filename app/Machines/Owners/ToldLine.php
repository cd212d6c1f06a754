<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Something an owner was told. */
#[OA\Schema]
final readonly class ToldLine extends View
{
    public function __construct(
        #[OA\Property] public string $at,
        #[OA\Property] public string $tag,
        #[OA\Property] public int $job,
        #[OA\Property] public string $text,
        #[OA\Property] public string $by,
    ) {
    }
}
