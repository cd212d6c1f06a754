<?php

declare(strict_types=1);

namespace App\Plan\Went;

use App\Api\View;
use OddBench\Intake\Station;
use OpenApi\Attributes as OA;

/** Minutes of hands at a station. */
#[OA\Schema]
final readonly class StationMinutesView extends View
{
    public function __construct(
        #[OA\Property(enum: Station::class)] public string $station,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'all that were spent in these days')] public int $spent,
        #[OA\Property(description: 'jobs that left the station in these days and had been reckoned')] public int $jobs,
        #[OA\Property(description: 'what those took')] public int $took,
        #[OA\Property(description: 'what they had been reckoned to take')] public int $reckoned,
    ) {
    }
}
