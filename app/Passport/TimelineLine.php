<?php

declare(strict_types=1);

namespace App\Passport;

use App\Api\View;
use App\Intake\JobEvent;
use OddBench\Intake\Station;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class TimelineLine extends View
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public ?int $job,
        #[OA\Property] public ?string $station,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $text,
        #[OA\Property] public ?float $hours,
        #[OA\Property] public string $by,
        #[OA\Property] public string $at,
    ) {
    }

    public static function of(JobEvent $event): self
    {
        return new self(
            $event->id,
            $event->job_id,
            $event->station === null ? null : Station::from($event->station)->words(),
            $event->kind,
            $event->text,
            $event->hours === null ? null : (float) $event->hours,
            $event->person->name,
            $event->at->toIso8601String(),
        );
    }
}
