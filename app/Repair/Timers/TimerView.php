<?php

declare(strict_types=1);

namespace App\Repair\Timers;

use App\Api\View;
use OpenApi\Attributes as OA;

/** A clock that runs. */
#[OA\Schema]
final readonly class TimerView extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property] public string $name,
        #[OA\Property] public string $ringsAt,
        #[OA\Property] public ?string $atMost,
        #[OA\Property] public ?int $run,
        #[OA\Property] public ?int $step,
    ) {
    }

    /** The relation job.machine must be loaded. */
    public static function of(Timer $timer): self
    {
        return new self(
            $timer->id,
            $timer->job_id,
            $timer->job->machine->tag,
            $timer->name,
            $timer->rings_at->toIso8601String(),
            $timer->at_most?->toIso8601String(),
            $timer->guide_run_id,
            $timer->step,
        );
    }
}
