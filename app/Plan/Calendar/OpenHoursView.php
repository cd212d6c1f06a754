<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Hours of a day of the week. */
#[OA\Schema]
final readonly class OpenHoursView extends View
{
    public function __construct(
        #[OA\Property(description: '1 for Monday')] public int $weekday,
        #[OA\Property(description: 'such as 08:30')] public string $opens,
        #[OA\Property] public string $closes,
    ) {
    }

    public static function of(Hours $row): self
    {
        return new self($row->weekday, Week::words($row->opens), Week::words($row->closes));
    }
}
