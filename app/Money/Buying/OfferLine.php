<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A machine on offer, bought or let go, in a list. */
#[OA\Schema]
final readonly class OfferLine extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $familyName,
        #[OA\Property] public string $seller,
        #[OA\Property] public string $says,
        #[OA\Property(enum: ['open', 'bought', 'let-go'])] public string $state,
        #[OA\Property] public ?int $askedMinor,
        #[OA\Property(description: 'the most to pay')] public int $mostMinor,
        #[OA\Property] public ?int $boughtMinor,
        #[OA\Property] public ?string $tag,
        #[OA\Property(description: 'what it says now, in words')] public string $stands,
        #[OA\Property(description: 'to be stopped')] public bool $stopNow,
        #[OA\Property] public string $at,
    ) {
    }
}
