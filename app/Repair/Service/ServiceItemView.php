<?php

declare(strict_types=1);

namespace App\Repair\Service;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Something a service job is for. */
#[OA\Schema]
final readonly class ServiceItemView extends View
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public ?string $guide,
        #[OA\Property] public bool $done,
    ) {
    }
}
