<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A statement of danger. */
#[OA\Schema]
final readonly class SafetyQuestionView extends View
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'nobody knows it without measuring')] public bool $measured,
    ) {
    }
}
