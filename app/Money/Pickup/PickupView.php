<?php

declare(strict_types=1);

namespace App\Money\Pickup;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A machine that is ready and not fetched. */
#[OA\Schema]
final readonly class PickupView extends View
{
    /** @param  list<LetterView>  $letters */
    public function __construct(
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public ?string $owner,
        #[OA\Property] public ?string $ownerContact,
        #[OA\Property] public string $readyOn,
        #[OA\Property(description: 'days it stands')] public int $stood,
        #[OA\Property] public int $freeDays,
        #[OA\Property] public int $perDayMinor,
        #[OA\Property] public int $storageMinor,
        #[OA\Property(description: 'by its bill; null before one is written')] public ?int $chargedMinor,
        #[OA\Property] public int $sumMinor,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LetterView::class))] public array $letters,
        #[OA\Property(description: 'the letter that is due now')] public ?int $letterDue,
        #[OA\Property] public string $because,
        #[OA\Property] public string $law,
    ) {
    }
}
