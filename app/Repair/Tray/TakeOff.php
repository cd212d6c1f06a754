<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Api\Refused;
use App\Intake\ClaimOrMend;
use App\Intake\Findings;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\OnlyAt;
use App\Intake\Photograph;
use App\Intake\Said;
use App\Repair\WorkOnJob;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Repair\FastenerList;
use OddBench\Repair\Teardown;

/** Writes down what came off a machine; a screw that was missing becomes a finding. */
final readonly class TakeOff
{
    public function __construct(
        private JobRecord $record,
        private TrayQuery $tray,
        private Findings $findings,
        private ClaimOrMend $warranty,
    ) {
    }

    /**
     * @throws InputError when it cannot be so
     * @throws Refused when the job stands elsewhere, or warranty was not decided
     */
    public function take(Job $job, Removal $removal, Person $by): Job
    {
        return $this->record->write(
            $job,
            $by,
            null,
            fn (Job $job): Said => new Said('taken-off', $this->words($this->put($job, $removal, $by))),
        );
    }

    /** Inside a running write. */
    public function put(Job $job, Removal $removal, Person $by): TakenOff
    {
        OnlyAt::the('machines are opened', Station::Diagnosis, Station::Repair)->hold($job);
        $this->warranty->decidedBeforeOpening($job);
        // what is back on again stands in nobody's way
        $numbers = TakenOff::query()->where('job_id', $job->id)
            ->whereNull('withdrawn_at')
            ->whereDoesntHave('back')
            ->orderBy('number')
            ->pluck('number')
            ->map(fn (mixed $n): int => (int) $n)
            ->all();
        $last = (int) TakenOff::query()->where('job_id', $job->id)->max('number');
        if ($removal->photograph !== null && ! Photograph::query()->where(['id' => $removal->photograph, 'job_id' => $job->id])->exists()) {
            throw InputError::at('photograph', 'There is no such photograph in this job. Send it first.');
        }
        foreach (['after' => $removal->after ?? [], 'before' => $removal->before] as $field => $given) {
            foreach ($given as $i => $number) {
                if (! in_array($number, $numbers, true)) {
                    throw InputError::at("{$field}.{$i}", "There is no step {$number} on this tray that is off.");
                }
            }
        }
        $taken = TakenOff::query()->create([
            'job_id' => $job->id, 'number' => $last + 1, 'off' => $removal->off,
            'fasteners' => (object) $removal->fasteners,
            'missing' => (object) $removal->missing,
            'sockets' => $removal->sockets,
            'parts' => $removal->parts,
            'after' => $removal->after ?? ($numbers === [] ? [] : [max($numbers)]), 'before' => $removal->before,
            'cell' => $removal->cell ?? ($removal->fasteners === [] && $removal->parts === [] ? null : $this->nextCell($job)),
            'into' => $removal->into, 'engagement_mm' => $removal->engagementMm, 'room_mm' => $removal->roomMm,
            'way_round' => $removal->wayRound, 'caution' => $removal->caution, 'undo_first' => $removal->undoFirst,
            'first_pass' => $removal->firstPass, 'second_pass' => $removal->secondPass, 'check' => $removal->check,
            'photograph_id' => $removal->photograph, 'guide_run_id' => $removal->guideRun, 'guide_step' => $removal->guideStep,
            'person_id' => $by->id, 'at' => now(),
        ])->refresh();
        // refuses a circle
        $this->tray->record(WorkOnJob::now($job));
        if ($removal->missing !== []) {
            $this->noteMissing($job, $removal->missing, $by);
        }

        return $taken;
    }

    /**
     * Says that some of what was written down was not there when it was opened.
     *
     * @param  array<string, int>  $missing  size => count
     */
    public function missing(Job $job, int $number, array $missing, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($number, $missing, $by): Said {
            $taken = $this->find($job, $number);
            $fasteners = $taken->fasteners;
            $all = $taken->missing;
            foreach ($missing as $size => $count) {
                if ($count > ($fasteners[$size] ?? 0)) {
                    throw InputError::at(
                        'fasteners',
                        "“{$taken->off}” has ".($fasteners[$size] ?? 0)
                            ." {$size} written down as out; {$count} cannot have been missing among them.",
                    );
                }
                $fasteners[$size] -= $count;
                $all[$size] = ($all[$size] ?? 0) + $count;
            }
            $taken->update(['fasteners' => (object) array_filter($fasteners), 'missing' => (object) $all]);
            $this->noteMissing($job, $missing, $by);

            return new Said('taken-off', "Missing on opening at “{$taken->off}”: ".FastenerList::words($missing));
        });
    }

    /** Takes a step off the record that was written down by mistake. */
    public function withdraw(Job $job, int $number, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($number, $by): Said {
            $taken = $this->find($job, $number);
            if ($taken->back !== null) {
                throw Refused::because('step', "“{$taken->off}” is ticked as back; take the tick away first.");
            }
            // those that waited for it wait for what it waited for
            foreach (TakenOff::query()->where('job_id', $job->id)->whereNull('withdrawn_at')->get() as $other) {
                if (in_array($number, $other->after, true)) {
                    $other->update(['after' => array_values(array_unique([...array_diff($other->after, [$number]), ...$taken->after]))]);
                }
            }
            $taken->update(['withdrawn_at' => now(), 'withdrawn_by' => $by->id]);

            return new Said('taken-off', "Withdrawn from the tray: {$taken->off}");
        });
    }

    /** @throws Refused */
    public function find(Job $job, int $number): TakenOff
    {
        return TakenOff::query()->with('back')->where(['job_id' => $job->id, 'number' => $number])->whereNull('withdrawn_at')->first()
            ?? throw Refused::notFound('step', "There is no step {$number} on this tray.");
    }

    /** @param  array<string, int>  $missing */
    private function noteMissing(Job $job, array $missing, Person $by): void
    {
        $this->findings->measured($job, Teardown::MISSING, true, 'teardown', mb_substr(FastenerList::words($missing), 0, 60), $by);
    }

    private function nextCell(Job $job): int
    {
        $taken = TakenOff::query()->where('job_id', $job->id)
            ->whereNull('withdrawn_at')
            ->whereNotNull('cell')
            ->pluck('cell')
            ->map(fn (mixed $n): int => (int) $n)
            ->all();
        for ($cell = 1; in_array($cell, $taken, true);) {
            $cell++;
        }

        return $cell;
    }

    private function words(TakenOff $taken): string
    {
        $with = array_filter([
            FastenerList::words($taken->fasteners),
            $taken->sockets === [] ? '' : 'unplugged '.implode(', ', $taken->sockets),
            $taken->missing === [] ? '' : 'missing: '.FastenerList::words($taken->missing),
        ]);

        return "Off: {$taken->off}".($with === [] ? '' : ' ('.implode('; ', $with).')');
    }
}
