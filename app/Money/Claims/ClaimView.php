<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A claim, and whether to wait for it. */
#[OA\Schema]
final readonly class ClaimView extends View
{
    /**
     * @param  list<string>  $proof
     * @param  list<ClaimWordView>  $said
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public ?int $job,
        #[OA\Property] public string $against,
        #[OA\Property(enum: ['seller', 'maker', 'supplier'])] public string $againstIs,
        #[OA\Property(enum: ['machine', 'part', 'money'])] public string $claims,
        #[OA\Property] public string $what,
        #[OA\Property] public int $worthMinor,
        #[OA\Property] public int $effortMinor,
        #[OA\Property] public ?string $deadline,
        #[OA\Property] public ?string $nextOn,
        #[OA\Property(description: 'its next day is over, or its deadline near')] public bool $due,
        #[OA\Property] public ?string $video,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $proof,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClaimWordView::class))] public array $said,
        #[OA\Property(enum: ['open', 'won', 'partly', 'lost', 'dropped'])] public string $state,
        #[OA\Property] public ?int $gotMinor,
        #[OA\Property] public string $at,
        #[OA\Property] public ?string $closedAt,
        #[OA\Property(description: 'probability that it is met')] public ?float $chance,
        #[OA\Property(description: 'what that goes by')] public ?string $chanceBecause,
        #[OA\Property(description: 'what the claim is worth')] public ?int $waitMinor,
        #[OA\Property(description: 'what waiting has cost')] public ?int $waitedMinor,
        #[OA\Property(description: 'days the machine has stood for it')] public ?float $idleDays,
        #[OA\Property] public ?float $breaksEvenDays,
        #[OA\Property(description: 'mending is better than waiting')] public bool $mend,
        #[OA\Property] public string $advice,
    ) {
    }
}
