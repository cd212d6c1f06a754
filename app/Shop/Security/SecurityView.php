<?php

declare(strict_types=1);

namespace App\Shop\Security;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Who did what of those things a lead may want to know of, newest first. */
#[OA\Schema]
final readonly class SecurityView extends View
{
    /** @param  list<SecurityLine>  $events */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: SecurityLine::class))] public array $events,
        #[OA\Property(description: 'the id to ask for what is older; null when there is none')] public ?int $before,
    ) {
    }
}
