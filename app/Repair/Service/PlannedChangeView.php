<?php

declare(strict_types=1);

namespace App\Repair\Service;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A part a job is to change before it fails. */
#[OA\Schema]
final readonly class PlannedChangeView extends View
{
    public function __construct(
        #[OA\Property] public string $position,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'code of the guide that says how')] public ?string $guide,
        #[OA\Property(description: 'something was fitted there in this job')] public bool $done,
    ) {
    }
}
