<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A campaign on one line; in a passport with what is known of that machine. */
#[OA\Schema]
final readonly class CampaignLine extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: ['fault', 'batch', 'bulletin', 'thought'])] public string $origin,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'name of the check')] public ?string $look,
        #[OA\Property] public bool $danger,
        #[OA\Property] public int $all,
        #[OA\Property] public int $looked,
        #[OA\Property] public int $affected,
        #[OA\Property(description: 'at least so many of all are affected (95 %, exact)')] public int $least,
        #[OA\Property] public int $most,
        #[OA\Property] public bool $settled,
        #[OA\Property] public int $mended,
        #[OA\Property] public ?string $assignedName,
        #[OA\Property] public ?string $dueOn,
        #[OA\Property] public bool $closed,
        #[OA\Property(description: 'of the machine in question; null while nobody looked')] public ?bool $here,
    ) {
    }
}
