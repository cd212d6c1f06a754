<?php

declare(strict_types=1);

namespace App\Money\Worth;

use App\Api\View;
use OddBench\Money\WhatToDo;
use OpenApi\Attributes as OA;

/** Whether a machine is worth mending, and what each way brings. */
#[OA\Schema]
final readonly class WorthView extends View
{
    /** @param  list<PieceWorthView>  $pieces  the best first */
    public function __construct(
        #[OA\Property(description: 'what it brings mended')] public ?int $sellsMinor,
        #[OA\Property(description: 'where that comes from')] public ?string $sellsFrom,
        #[OA\Property] public ?int $asIsMinor,
        #[OA\Property(description: 'expected cost still to come')] public ?int $furtherMinor,
        #[OA\Property(description: 'it counts at what an owner is charged, not at what it costs the shop')] public bool $furtherIsCharged,
        #[OA\Property(description: 'the job is over: it is what another visit would cost, as its last ones did')]
        public bool $furtherIsNextVisit,
        #[OA\Property] public int $donorMinor,
        #[OA\Property(description: 'how sure that is')] public string $donorSure,
        #[OA\Property] public int $kinds,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PieceWorthView::class))] public array $pieces,
        #[OA\Property(description: 'that a mend holds')] public float $chance,
        #[OA\Property(description: 'that it comes in too often, where it does')] public ?string $holdsNot,
        #[OA\Property(description: 'what mending brings')] public ?int $mendMinor,
        #[OA\Property(enum: WhatToDo::class)] public ?string $best,
        #[OA\Property] public ?string $bestWords,
        #[OA\Property(description: 'further cost at which another way is as good')] public ?int $flipsAtMinor,
        #[OA\Property] public string $because,
    ) {
    }
}
