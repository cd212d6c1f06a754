<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A reading of a machine’s counter. */
#[OA\Schema]
final readonly class CounterView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $at,
        #[OA\Property(description: 'as the counter showed them')] public float $hours,
        #[OA\Property] public bool $beganAnew,
        #[OA\Property(enum: CounterSource::class)] public string $source,
        #[OA\Property] public ?string $by,
    ) {
    }

    /** The relation person must be loaded. */
    public static function of(Counter $counter): self
    {
        return new self(
            $counter->id,
            $counter->at->toIso8601String(),
            (float) $counter->hours,
            $counter->began_anew,
            $counter->source,
            $counter->person?->name,
        );
    }
}
