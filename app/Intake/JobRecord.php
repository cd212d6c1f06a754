<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Refused;
use App\Api\Stale;
use App\Shop\Person;
use Closure;
use Illuminate\Support\Facades\DB;

/**
 * Every write to a job goes through here: one transaction under the job’s lock, a new version, a line in the record.
 */
final readonly class JobRecord
{
    public function __construct(
        private Hands $hands,
        private SaysNextStep $next,
        private JobStates $states,
        private HearsJob $plan,
        private TableWatch $watch,
        private LaterSteps $later,
    ) {
    }

    /**
     * @param  Job|int  $job  the job, or its id
     * @param  int|null  $version  the version the edit was made from; null for what only adds
     * @param  Closure(Job): Said  $change
     * @param  bool  $byHand  the person’s hands are on the machine
     * @param  OnlyAt|null  $at  where it has to stand for this
     *
     * @throws Stale when somebody else changed the job since
     * @throws Refused when the job is finished, or stands elsewhere
     */
    public function write(Job|int $job, Person $by, ?int $version, Closure $change, bool $byHand = true, ?OnlyAt $at = null): Job
    {
        return DB::transaction(function () use ($job, $by, $version, $change, $byHand, $at): Job {
            $locked = Job::query()->with('machine')->lockForUpdate()->findOrFail($job instanceof Job ? $job->id : $job);
            $this->refuseStale($locked, $version);
            if (! $locked->isOpen()) {
                throw Refused::because('job', 'This job is finished; nothing is added to it any more. Book the machine in again.');
            }
            $at?->hold($locked);

            return JobState::within($locked, $this->watch, function () use ($locked, $by, $change, $byHand): Job {
                $said = $change($locked);
                $locked->version++;
                $this->note($locked, $by, $said);
                if ($byHand && $locked->isOpen()) {
                    $this->hands->on($locked, $by);
                }
                $this->settle($locked);

                return $locked;
            });
        });
    }

    /** Saves a job with its next step, inside a running write, and leaves its state for the answer. */
    public function settle(Job $job): void
    {
        $state = JobState::of($job);
        [$job->next_step, $job->next_minutes] = $job->isOpen() && ! $this->later->areLater() ? $this->next->of($state) : [null, null];
        $job->save();
        $this->plan->changed($job);
        $this->states->leave($state);
    }

    public function note(Job $job, Person $by, Said $said): void
    {
        JobEvent::query()->create([
            'job_id' => $job->id,
            'machine_id' => $job->machine_id,
            'version' => $job->version,
            'station' => $job->station->value,
            'kind' => $said->kind,
            'text' => $said->text,
            'hours' => $job->hours,
            'person_id' => $by->id,
            'at' => now(),
        ]);
    }

    private function refuseStale(Job $job, ?int $version): void
    {
        if ($version === null || $version === $job->version) {
            return;
        }
        $changes = JobEvent::query()->with('person')
            ->where('job_id', $job->id)
            ->where('version', '>', $version)
            ->orderBy('id')
            ->limit(5)
            ->get()
            ->map(fn (JobEvent $event): string => "{$event->person->name} at {$event->at->format('H:i')}: {$event->text}")->all();

        throw Stale::since(array_values($changes), $job->version);
    }
}
