<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A place on the drawn machine and the findings that can be seen there. */
#[OA\Schema]
final readonly class PlaceView extends View
{
    /** @param  list<string>  $findings  codes */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $findings,
    ) {
    }
}
