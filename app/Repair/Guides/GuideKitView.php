<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Api\View;
use OpenApi\Attributes as OA;

/** How often a guide can be done on a family with what is free on the shelf. */
#[OA\Schema]
final readonly class GuideKitView extends View
{
    /** @param  list<string>  $shortest */
    public function __construct(
        #[OA\Property] public string $familyName,
        #[OA\Property] public ?string $school,
        #[OA\Property] public int $times,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $shortest,
    ) {
    }
}
