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
    public function __construct(private Hands $hands)
    {
    }

    /**
     * @param  int|null  $version  the version the edit was made from; null for what only adds
     * @param  Closure(Job): Said  $change
     * @param  bool  $byHand  the person’s hands are on the machine
     *
     * @throws Stale when somebody else changed the job since
     * @throws Refused when the job is finished
     */
    public function write(Job $job, Person $by, ?int $version, Closure $change, bool $byHand = true): Job
    {
        return DB::transaction(function () use ($job, $by, $version, $change, $byHand): Job {
            $locked = Job::query()->with('machine')->lockForUpdate()->findOrFail($job->id);
            $this->refuseStale($locked, $version);
            if (! $locked->isOpen()) {
                throw Refused::because('job', 'This job is finished; nothing is added to it any more. Book the machine in again.');
            }
            $said = $change($locked);
            $locked->version++;
            $locked->next_step = null;
            $locked->next_minutes = null;
            $locked->save();
            $this->note($locked, $by, $said);
            if ($byHand && $locked->isOpen()) {
                $this->hands->on($locked, $by);
            }

            return $locked;
        });
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
        $changes = JobEvent::query()->with('person')->where('job_id', $job->id)->where('version', '>', $version)->orderBy('id')->limit(5)->get()
            ->map(fn (JobEvent $event): string => "{$event->person->name} at {$event->at->format('H:i')}: {$event->text}")->all();

        throw Stale::since(array_values($changes), $job->version);
    }
}
