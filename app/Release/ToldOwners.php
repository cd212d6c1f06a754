<?php

declare(strict_types=1);

namespace App\Release;

use App\Intake\Job;
use App\Intake\Photograph;
use App\Machines\Owners\Owner;
use App\Machines\Owners\SaysToOwner;
use App\Machines\Owners\ToldLine;
use Illuminate\Support\Collection;
use OddBench\Release\Destination;

/** What owners are told when a machine is signed out: how it goes, what to know, what is dangerous. */
final readonly class ToldOwners implements SaysToOwner
{
    /** @return list<ToldLine> */
    public function told(Owner $owner): array
    {
        return array_values($this->releases($owner)->map(static fn (Release $release): ToldLine => new ToldLine(
            $release->at->toIso8601String(),
            $release->job->machine->tag,
            $release->job_id,
            self::words($release),
            $release->person->name,
        ))->all());
    }

    /** @return array<string, mixed> */
    public function keeps(Owner $owner): array
    {
        $told = $this->releases($owner)->keyBy('job_id');
        $of = static fn ($q) => $q->where('owner_id', $owner->id);
        $pictures = Photograph::query()->whereIn('job_id', Job::query()->select('id')->whereHas('machine', $of))->get()->groupBy('job_id');

        return ['visits' => Job::query()->with('machine')
            ->whereHas('machine', $of)
            ->orderBy('id')
            ->get()
            ->map(static fn (Job $job): array => [
                'job' => $job->id,
                'machine' => $job->machine->tag,
                'kind' => $job->kind->value,
                'booked_in' => $job->opened_at->toIso8601String(),
                'complaint' => $job->complaint,
                'came_along' => $job->came_along,
                'promised_for' => $job->promised_for?->toDateString(),
                'sent_out' => $job->finished_at?->toIso8601String(),
                'told' => ($release = $told->get($job->id)) === null ? null : self::words($release),
                'sheet' => $told->get($job->id)?->sheet,
                'photographs' => $pictures->get($job->id)?->map(
                    static fn (Photograph $picture): string => "/files/photographs/{$picture->id}.jpg",
                )->values()->all() ?? [],
            ])->all()];
    }

    public function forgets(Owner $owner): void
    {
        // how a machine left is the machine’s; nothing of its owner stands in it
    }

    private static function words(Release $release): string
    {
        return implode('. ', array_filter([
            Destination::from($release->destination)->words(),
            $release->danger === null ? null : "Danger: {$release->danger}",
            $release->note,
            $release->warranty_until === null ? null : "The repair is stood for until {$release->warranty_until->format('j M Y')}",
        ]));
    }

    /** @return Collection<int, Release> */
    private function releases(Owner $owner): Collection
    {
        return Release::query()->with(['job.machine', 'person'])
            ->whereHas('job.machine', static fn ($q) => $q->where('owner_id', $owner->id))
            ->orderByDesc('id')
            ->get();
    }
}
