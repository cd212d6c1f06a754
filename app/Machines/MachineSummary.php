<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\View;
use OddBench\Knowledge\Knowledge;
use OpenApi\Attributes as OA;

/** A machine on one line. */
#[OA\Schema]
final readonly class MachineSummary extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $family,
        #[OA\Property] public string $familyName,
        #[OA\Property] public ?string $serial,
        #[OA\Property(enum: ['owner', 'farm', 'resale'])] public string $heldAs,
        #[OA\Property] public ?string $owner,
        #[OA\Property] public ?float $hours,
        #[OA\Property] public string $place,
        #[OA\Property] public bool $redTag,
        #[OA\Property] public ?int $openJob,
    ) {
    }

    /** The relations owner, redTag and openJob must be loaded. */
    public static function of(Machine $machine, Knowledge $knowledge): self
    {
        return new self(
            $machine->tag,
            $machine->family,
            $knowledge->families[$machine->family]->name ?? $machine->family,
            $machine->serial,
            $machine->held_as,
            $machine->owner?->name,
            $machine->hoursRun(),
            $machine->place,
            $machine->redTag !== null,
            $machine->openJob?->id,
        );
    }
}
