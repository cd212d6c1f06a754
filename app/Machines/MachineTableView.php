<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A table of machines, tried or taken in: each row’s fate. */
#[OA\Schema]
final readonly class MachineTableView extends View
{
    /**
     * @param  array<string, int>  $counts  fate => rows
     * @param  list<MachineFateView>  $rows  those that are not new first
     */
    public function __construct(
        #[OA\Property(description: 'the new ones are known now')] public bool $applied,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))] public array $counts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MachineFateView::class))] public array $rows,
    ) {
    }
}
