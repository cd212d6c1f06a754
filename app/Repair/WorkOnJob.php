<?php

declare(strict_types=1);

namespace App\Repair;

use App\Diagnosis\Findings\FoundInJob;
use App\Intake\Job;
use App\Intake\JobPart;
use App\Intake\JobState;
use App\Machines\RailTurn;
use App\Repair\Guides\GuideRun;
use App\Repair\Tray\Explained;
use App\Repair\Tray\TakenOff;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as Jobs;

/** What was done to a machine in a job: mends, what is on its tray, rails turned, guides. */
final readonly class WorkOnJob implements JobPart
{
    /**
     * @param  Collection<int, Mend>  $mends
     * @param  Collection<int, TakenOff>  $takenOff  in the order it came off
     * @param  Collection<int, Explained>  $explained
     * @param  Collection<int, RailTurn>  $railTurns
     * @param  Collection<int, GuideRun>  $guideRuns
     */
    private function __construct(
        public Collection $mends,
        public Collection $takenOff,
        public Collection $explained,
        public Collection $railTurns,
        public Collection $guideRuns,
    ) {
    }

    public static function of(JobState $state): self
    {
        return $state->part(self::class);
    }

    /** As it stands this moment, inside a running write. */
    public static function now(Job $job): self
    {
        return self::read(new Jobs([$job]))[$job->id];
    }

    public static function read(Jobs $jobs): array
    {
        $ids = $jobs->pluck('id');
        $mends = Mend::query()->whereIn('job_id', $ids)->orderBy('id')->get()->groupBy('job_id');
        $taken = TakenOff::query()->with('back')
            ->whereIn('job_id', $ids)
            ->whereNull('withdrawn_at')
            ->orderBy('number')
            ->get()
            ->groupBy('job_id');
        $explained = $taken->isEmpty()
            ? new Collection
            : Explained::query()->whereIn('job_id', $ids)->orderBy('id')->get()->groupBy('job_id');
        $turns = RailTurn::query()->whereIn('job_id', $ids)->orderBy('id')->get()->groupBy('job_id');
        $runs = GuideRun::query()->whereIn('job_id', $ids)->orderBy('id')->get()->groupBy('job_id');
        $parts = [];
        foreach ($jobs as $job) {
            $parts[$job->id] = new self(
                $mends->get($job->id) ?? new Collection,
                $taken->get($job->id) ?? new Collection,
                $explained->get($job->id) ?? new Collection,
                $turns->get($job->id) ?? new Collection,
                $runs->get($job->id) ?? new Collection,
            );
        }

        return $parts;
    }

    /** @return list<string> codes of faults a mend was noted for */
    public function mended(): array
    {
        return array_values(array_filter($this->mends->map(static fn (Mend $mend): ?string => $mend->fault)->all(), is_string(...)));
    }

    /** @return list<string> codes of confirmed faults with no mend noted */
    public function unmended(JobState $state): array
    {
        return array_values(array_diff(FoundInJob::of($state)->faults(), $this->mended()));
    }

    /** How many steps are off and not back. */
    public function off(): int
    {
        return $this->takenOff->filter(static fn (TakenOff $t): bool => $t->back === null)->count();
    }
}
