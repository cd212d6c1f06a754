<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\View;
use App\Machines\Place;
use OddBench\Knowledge\Knowledge;
use OpenApi\Attributes as OA;

/** A machine on a campaign. */
#[OA\Schema]
final readonly class LookView extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public string $place,
        #[OA\Property(description: 'rack, shelf and place where it stands')] public ?string $stands,
        #[OA\Property(description: 'it is in use, as far as anybody knows')] public bool $runs,
        #[OA\Property(description: 'that it fails of it soon, 0 to 1; null when nobody knows')] public ?float $risk,
        #[OA\Property] public bool $redTag,
        #[OA\Property] public bool $hasOwner,
        #[OA\Property] public ?int $openJob,
        #[OA\Property] public ?bool $affected,
        #[OA\Property] public ?string $note,
        #[OA\Property] public ?string $by,
        #[OA\Property] public ?string $at,
        #[OA\Property] public ?string $mendedAt,
        #[OA\Property(description: 'when its owner was written to')] public ?string $letterAt,
    ) {
    }

    public static function of(LookOwed $owed, Knowledge $knowledge, ?int $openJob, bool $redTag, ?string $stands): self
    {
        $machine = $owed->machine;

        return new self(
            $machine->tag, $knowledge->familyName($machine->family), $machine->place, $stands, Place::from($machine->place)->runs(),
            $owed->risk, $redTag, $machine->owner_id !== null, $openJob,
            $owed->affected, $owed->note, $owed->lookedBy?->name, $owed->looked_at?->toIso8601String(),
            $owed->mended_at?->toIso8601String(), $owed->letter_at?->toIso8601String(),
        );
    }
}
