<?php

declare(strict_types=1);

namespace App\Bench;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A machine that service is due on. */
#[OA\Schema]
final readonly class ServiceLine extends View
{
    /**
     * @param  list<string>  $items  codes
     * @param  list<string>  $names
     */
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $items,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $names,
        #[OA\Property] public string $words,
    ) {
    }
}
