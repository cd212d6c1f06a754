<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Api\View;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class MovementView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $part,
        #[OA\Property] public string $partName,
        #[OA\Property] public string $bin,
        #[OA\Property(enum: MovementKind::class)] public string $kind,
        #[OA\Property] public int $quantity,
        #[OA\Property] public int $valueMinor,
        #[OA\Property] public ?int $job,
        #[OA\Property] public ?string $machine,
        #[OA\Property] public ?string $position,
        #[OA\Property] public bool $undone,
        #[OA\Property] public ?string $note,
        #[OA\Property(description: 'what is printed on the bag')] public ?string $batch,
        #[OA\Property(description: 'it is of a batch that is not to be trusted')] public bool $bad,
        #[OA\Property(description: 'the machine it came out of')] public ?string $from,
        #[OA\Property(description: 'how long it had run there')] public ?float $hours,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
    ) {
    }

    /** The relations part, person, undoneBy, bad, machine and job.machine must be loaded. */
    public static function of(Movement $m): self
    {
        return new self(
            $m->id,
            $m->part->number,
            $m->part->name,
            $m->bin,
            $m->kind,
            $m->quantity,
            $m->value_minor,
            $m->job_id,
            $m->job?->machine->tag,
            $m->position,
            $m->undoneBy !== null,
            $m->note,
            $m->batch,
            $m->bad !== null,
            $m->machine?->tag,
            $m->hours === null ? null : (float) $m->hours,
            $m->person->name,
            $m->at->toIso8601String(),
        );
    }
}
