<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OpenApi\Attributes as OA;

/** What somebody may edit of a machine, as it stands. */
#[OA\Schema]
final readonly class KnownView extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $family,
        #[OA\Property] public ?string $serial,
        #[OA\Property(enum: HeldAs::class)] public string $heldAs,
        #[OA\Property] public ?int $ownerId,
        #[OA\Property] public ?string $ownerName,
        #[OA\Property(enum: Place::class)] public string $place,
        #[OA\Property] public ?string $printerHost,
        #[OA\Property] public ?int $printerPort,
        #[OA\Property] public ?string $notes,
        #[OA\Property(description: 'filled filament (glass, carbon, glow, metal) as a rule')] public bool $printsAbrasive,
        #[OA\Property(description: 'above 250 °C as a rule')] public bool $printsHot,
        #[OA\Property(description: 'sent along with an edit: when it was changed last')] public string $seen,
    ) {
    }

    public static function of(Machine $machine): self
    {
        $machine->loadMissing('owner');

        return new self(
            $machine->tag,
            $machine->family,
            $machine->serial,
            $machine->held_as,
            $machine->owner_id,
            $machine->owner?->name,
            $machine->place,
            $machine->printer_host,
            $machine->printer_port,
            $machine->notes,
            $machine->prints_abrasive,
            $machine->prints_hot,
            (string) $machine->updated_at?->toIso8601String(),
        );
    }
}
