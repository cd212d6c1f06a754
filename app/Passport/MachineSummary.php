<?php

declare(strict_types=1);

namespace App\Passport;

use App\Api\View;
use App\Machines\HeldAs;
use App\Machines\Machine;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\HoursJudged;
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
        #[OA\Property(enum: HeldAs::class)] public string $heldAs,
        #[OA\Property] public ?string $owner,
        #[OA\Property] public ?float $hours,
        #[OA\Property(description: 'its counter was not read since, so the hours are estimated')] public bool $hoursAbout,
        #[OA\Property] public string $place,
        #[OA\Property] public bool $redTag,
        #[OA\Property] public ?int $openJob,
    ) {
    }

    /** The relation owner must be loaded. */
    public static function of(Machine $machine, Knowledge $knowledge, bool $redTag, ?int $openJob, ?HoursJudged $hours): self
    {
        return new self(
            $machine->tag,
            $machine->family,
            $knowledge->familyName($machine->family),
            $machine->serial,
            $machine->held_as,
            $machine->owner?->name,
            $hours === null ? $machine->hoursRun() : round($hours->hours, 1),
            $hours?->read === false,
            $machine->place,
            $redTag,
            $openJob,
        );
    }
}
