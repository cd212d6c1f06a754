<?php

declare(strict_types=1);

namespace App\Passport;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class MachinePage extends View
{
    /** @param  list<MachineSummary>  $machines */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: MachineSummary::class))] public array $machines,
        #[OA\Property] public int $all,
        #[OA\Property] public ?string $next,
    ) {
    }
}
