<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\Refused;
use App\Diagnosis\JobFinding;
use App\Machines\Machine;
use App\Safety\PutOnRedTag;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;

/** Opens a job for a machine: it stands at Make safe with what was told as its first findings. */
final readonly class BookIn
{
    public function __construct(private Knowledge $knowledge, private JobRecord $record, private PutOnRedTag $redTag)
    {
    }

    /**
     * @throws InputError when the hours run backwards
     * @throws Refused when the machine is on the bench already, or was scrapped
     */
    public function book(Machine $machine, Booking $booking, Person $by): Job
    {
        return DB::transaction(function () use ($machine, $booking, $by): Job {
            $machine = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            $this->refuseImpossible($machine, $booking);
            $hours = $booking->hours ?? $machine->hoursRun();
            $machine->update(['hours' => $hours, 'place' => 'bench']);
            $job = Job::query()->create([
                'machine_id' => $machine->id,
                'kind' => $booking->kind,
                'station' => Station::Safety,
                'station_since' => now(),
                'complaint' => $booking->complaint,
                'screen_said' => $booking->screenSaid,
                'came_along' => $booking->cameAlong,
                'began' => $booking->began->value,
                'hours' => $hours,
                'promised_for' => $booking->promisedFor,
                'version' => 1,
                'opened_by' => $by->id,
                'opened_at' => now(),
            ]);
            $this->record->note($job, $by, new Said('booked-in', "Booked in for {$booking->kind->value}: “{$booking->complaint}”"));
            $this->putDown($job, $booking, $by);

            return $job;
        });
    }

    /** What was told, as the first findings; a sign of danger puts the red tag on at once. */
    private function putDown(Job $job, Booking $booking, Person $by): void
    {
        $dangers = [];
        foreach (array_unique(array_filter([$booking->began->finding(), ...$booking->told])) as $i => $code) {
            $finding = $this->knowledge->finding($code, "told.{$i}");
            foreach ($finding->neverWith as $never) {
                if (in_array($never, $booking->told, true)) {
                    throw InputError::at("told.{$i}", "“{$finding->name}” and “{$this->knowledge->findings[$never]->name}” cannot both be. Leave one out.");
                }
            }
            JobFinding::query()->create(['job_id' => $job->id, 'code' => $code, 'present' => true, 'source' => 'told', 'person_id' => $by->id, 'at' => now()]);
            if ($finding->redTag) {
                $dangers[] = $finding->name;
            }
        }
        if ($dangers !== []) {
            $this->record->note($job, $by, $this->redTag->on($job, implode(', ', $dangers), $by));
        }
    }

    private function refuseImpossible(Machine $machine, Booking $booking): void
    {
        $open = Job::query()->where('machine_id', $machine->id)->whereNull('finished_at')->value('id');
        if ($open !== null) {
            throw Refused::because('tag', "{$machine->tag} is on the bench already, as job {$open}. Open that job.");
        }
        if ($machine->place === 'scrap') {
            throw Refused::because('tag', "{$machine->tag} was scrapped; it does not come back under its tag.");
        }
        $last = $machine->hoursRun();
        if ($booking->hours !== null && $last !== null && $booking->hours < $last) {
            throw InputError::at('hours', "The hours run backwards: {$machine->tag} had {$last} h at its last visit, and {$booking->hours} h is less. Read the counter again; if the board was changed, book it in without hours.");
        }
    }
}
