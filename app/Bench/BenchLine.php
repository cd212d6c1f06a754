<?php

declare(strict_types=1);

namespace App\Bench;

use App\Api\View;
use App\Intake\Job;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OpenApi\Attributes as OA;

#[OA\Schema]
final readonly class BenchLine extends View
{
    public function __construct(
        #[OA\Property] public int $job,
        #[OA\Property] public string $tag,
        #[OA\Property] public string $familyName,
        #[OA\Property] public ?string $owner,
        #[OA\Property(enum: Station::class)] public string $station,
        #[OA\Property] public string $stationName,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $next,
        #[OA\Property] public ?int $minutes,
        #[OA\Property] public string $since,
        #[OA\Property] public ?string $until,
        #[OA\Property] public ?string $promisedFor,
        #[OA\Property] public bool $late,
        #[OA\Property] public bool $redTag,
        #[OA\Property] public ?string $handsOf,
    ) {
    }

    /** @param  string  $today  the shop’s day */
    public static function of(Job $job, Knowledge $knowledge, string $today, bool $redTag): self
    {
        $waits = [
            'part' => 'Waits on a part',
            'person' => 'Waits on a person',
            'claim' => 'Waits on a claim',
            'owner' => 'Waits on the owner',
            'itself' => 'Runs by itself',
        ];

        $hasRun = $job->waits_for === 'itself' && $job->waits_until !== null && $job->waits_until->isPast();

        $promised = $job->promised_for?->toDateString();

        return new self(
            $job->id,
            $job->machine->tag,
            $knowledge->familyName($job->machine->family),
            $job->machine->owner->name ?? null,
            $job->station->value,
            $job->station->words(),
            $job->kind->value,
            match (true) {
                $job->waits_for === null => (string) $job->next_step,
                $hasRun => 'Has run: '.($job->waits_note ?? $waits['itself']),
                default => $job->waits_note ?? $waits[$job->waits_for],
            },
            $job->waits_for === null ? $job->next_minutes : null,
            ($job->waits_for === null ? $job->station_since : $job->waits_since ?? $job->station_since)->toIso8601String(),
            $hasRun ? null : $job->waits_until?->toIso8601String(),
            $promised,
            $promised !== null && $promised < $today,
            $redTag,
            $job->spell?->person->name,
        );
    }
}
