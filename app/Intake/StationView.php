<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\View;
use OddBench\Intake\Station;
use OpenApi\Attributes as OA;

/** A mark of the station ruler. */
#[OA\Schema]
final readonly class StationView extends View
{
    /** @param  list<string>  $obstacles why the job cannot go there yet */
    public function __construct(
        #[OA\Property(enum: Station::class)] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'minutes of hands spent here')] public float $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $obstacles,
    ) {
    }
}
