<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Days on which somebody is not here, or the shop is shut. */
#[OA\Schema]
final readonly class DayOffView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(description: 'null for the shop')] public ?int $person,
        #[OA\Property] public ?string $name,
        #[OA\Property] public string $first,
        #[OA\Property] public string $last,
        #[OA\Property(description: 'a part of the day only')] public ?string $from,
        #[OA\Property] public ?string $to,
        #[OA\Property] public string $why,
    ) {
    }

    public static function of(DayOff $off): self
    {
        return new self(
            $off->id,
            $off->person_id,
            $off->person?->name,
            $off->first->toDateString(),
            $off->last->toDateString(),
            $off->from_minute === null ? null : Week::words($off->from_minute),
            $off->to_minute === null ? null : Week::words($off->to_minute),
            $off->why,
        );
    }
}
