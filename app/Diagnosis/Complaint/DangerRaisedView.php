<?php

declare(strict_types=1);

namespace App\Diagnosis\Complaint;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A statement of danger that somebody’s words raise. */
#[OA\Schema]
final readonly class DangerRaisedView extends View
{
    public function __construct(
        #[OA\Property(description: 'the finding a yes would be')] public string $finding,
        #[OA\Property] public string $statement,
    ) {
    }
}
