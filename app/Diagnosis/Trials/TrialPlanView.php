<?php

declare(strict_types=1);

namespace App\Diagnosis\Trials;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What to set for each print of a two-level plan. */
#[OA\Schema]
final readonly class TrialPlanView extends View
{
    /** @param  list<array<string, string>>  $prints */
    public function __construct(
        #[OA\Property(
            type: 'array',
            items: new OA\Items(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')),
        )]
        public array $prints,
    ) {
    }
}
