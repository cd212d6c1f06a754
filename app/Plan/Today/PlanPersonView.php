<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Api\View;
use App\Shop\Role;
use OpenApi\Attributes as OA;

/** Somebody's day. */
#[OA\Schema]
final readonly class PlanPersonView extends View
{
    /**
     * @param  list<array{string, string}>  $here
     * @param  list<PlanStepView>  $steps
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property(enum: Role::class)] public string $role,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'string')), description: 'from, to')]
        public array $here,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlanStepView::class))] public array $steps,
    ) {
    }
}
