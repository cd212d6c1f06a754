<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OpenApi\Attributes as OA;

/** Who stands for a machine, and until when. */
#[OA\Schema]
final readonly class WarrantyView extends View
{
    public function __construct(
        #[OA\Property(enum: WarrantyBy::class)] public string $by,
        #[OA\Property] public string $until,
        #[OA\Property] public ?string $note,
        #[OA\Property] public bool $runs,
        #[OA\Property(enum: WarrantyChoice::class)] public ?string $choice,
    ) {
    }

    public static function of(Machine $machine, bool $runs, ?string $choice = null): ?self
    {
        return $machine->warranty_until === null || $machine->warranty_by === null ? null
            : new self($machine->warranty_by, $machine->warranty_until->toDateString(), $machine->warranty_note, $runs, $choice);
    }
}
