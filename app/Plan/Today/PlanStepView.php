<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Api\View;
use OddBench\Plan\Watch;
use OpenApi\Attributes as OA;

/** A step of the plan, or what was done of it. */
#[OA\Schema]
final readonly class PlanStepView extends View
{
    public function __construct(
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property(description: 'also its name when it is moved')] public string $what,
        #[OA\Property(enum: ['done', 'now', 'ahead'])] public string $state,
        #[OA\Property] public string $start,
        #[OA\Property(description: 'when its hands are over')] public string $end,
        #[OA\Property(description: 'when it is over')] public string $aloneUntil,
        #[OA\Property(enum: Watch::class, description: 'who must be there while it goes by itself')] public string $watch,
        #[OA\Property(description: 'why')] public string $because,
        #[OA\Property(description: 'somebody moved it')] public bool $moved,
    ) {
    }

    /** @param  array<string, mixed>  $step  of a plan that is kept */
    public static function of(array $step, bool $moved): self
    {
        return new self(
            (int) $step['job'],
            (string) $step['tag'],
            (string) $step['what'],
            $step['begun'] ? 'now' : 'ahead',
            (string) $step['start'],
            (string) $step['end'],
            (string) $step['aloneUntil'],
            (string) $step['watch'],
            (string) $step['because'],
            $moved,
        );
    }
}
