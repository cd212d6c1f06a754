<?php

declare(strict_types=1);

namespace App\Release;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class PastJobView extends View
{
    /** @param  list<string>  $faults names of the confirmed faults */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $complaint,
        #[OA\Property] public string $openedAt,
        #[OA\Property] public ?string $finishedAt,
        #[OA\Property] public ?float $hours,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $faults,
        #[OA\Property] public ?string $destination,
        #[OA\Property(description: 'it left with a sheet')] public bool $sheet,
        #[OA\Property(description: 'last day of the warranty of its repair, while it still runs')] public ?string $warrantyUntil,
        #[OA\Property] public ?float $warrantyHours,
        #[OA\Property(description: 'a fault of an earlier job came back within its warranty')] public bool $comeback,
    ) {
    }
}
