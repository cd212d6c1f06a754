<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Api\View;
use App\Machines\Machine;
use OpenApi\Attributes as OA;

/** An owner with the machines that are here under the name. */
#[OA\Schema]
final readonly class OwnerView extends View
{
    /**
     * @param  list<OwnersMachine>  $machines
     * @param  list<ToldLine>  $told  newest first
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $company,
        #[OA\Property] public ?string $contact,
        #[OA\Property] public ?string $address,
        #[OA\Property] public ?string $notes,
        #[OA\Property(description: 'since when they are known here')] public string $since,
        #[OA\Property] public ?string $erasedAt,
        #[OA\Property(description: 'who it turned out to be')] public ?int $mergedInto,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OwnersMachine::class))] public array $machines,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ToldLine::class), description: 'what they were told, machine by machine')]
        public array $told,
    ) {
    }

    /** @param  list<ToldLine>  $told */
    public static function of(Owner $owner, array $told): self
    {
        return new self(
            $owner->id,
            $owner->name,
            $owner->company,
            $owner->contact,
            $owner->address,
            $owner->notes,
            $owner->created_at->toDateString(),
            $owner->erased_at?->toIso8601String(),
            $owner->merged_into,
            array_values($owner->machines()->orderBy('tag')->get()
                ->map(static fn (Machine $machine): OwnersMachine => new OwnersMachine($machine->tag, $machine->family, $machine->place))
                ->all()),
            $told,
        );
    }
}
