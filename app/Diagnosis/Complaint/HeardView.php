<?php

declare(strict_types=1);

namespace App\Diagnosis\Complaint;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A finding that somebody’s words may mean. */
#[OA\Schema]
final readonly class HeardView extends View
{
    /** @param  list<string>  $words */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'the words that speak for it')] public array $words,
        #[OA\Property(description: 'a sign of danger')] public bool $redTag,
    ) {
    }
}
