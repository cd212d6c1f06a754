<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Api\View;
use OddBench\Knowledge\Knowledge;
use OpenApi\Attributes as OA;

/** A machine on a look-list. */
#[OA\Schema]
final readonly class LookView extends View
{
    public function __construct(
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public string $place,
        #[OA\Property] public ?int $openJob,
        #[OA\Property] public ?bool $affected,
        #[OA\Property] public ?string $note,
        #[OA\Property] public ?string $by,
        #[OA\Property] public ?string $at,
    ) {
    }

    public static function of(LookOwed $owed, Knowledge $knowledge, ?int $openJob): self
    {
        $machine = $owed->machine;

        return new self(
            $machine->tag, $knowledge->familyName($machine->family), $machine->place, $openJob,
            $owed->affected, $owed->note, $owed->lookedBy?->name, $owed->looked_at?->toIso8601String(),
        );
    }
}
