<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What a part fits; none for all. */
#[OA\Schema]
final readonly class FitsView extends View
{
    /**
     * @param  list<string>  $families
     * @param  list<string>  $positions
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $families,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $positions,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public object $traits,
    ) {
    }
}
