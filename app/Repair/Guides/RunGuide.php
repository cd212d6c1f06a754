<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\JobState;
use App\Intake\OnlyAt;
use App\Intake\Said;
use App\Repair\NoteMend;
use App\Repair\Service\KeepService;
use App\Repair\Timers\Timer;
use App\Repair\Tray\Removal;
use App\Repair\Tray\TakenOff;
use App\Repair\Tray\TakeOff;
use App\Repair\WorkOnJob;
use App\Safety\RedTag;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Knowledge\Guide;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Power;
use OddBench\Knowledge\Traits;
use OddBench\Repair\FastenerList;

/** Starts a guide in a job, ticks its steps, and ends it: what comes off goes on the tray, what was mended is noted. */
final readonly class RunGuide
{
    public function __construct(
        private JobRecord $record,
        private Knowledge $knowledge,
        private TakeOff $takeOff,
        private NoteMend $mends,
        private GuideTimes $times,
        private KeepService $service,
    ) {
    }

    public function start(Job $job, string $code, ?string $school, Person $by): Job
    {
        $guide = $this->knowledge->guide($code);
        $schools = $guide->schools();
        if ($schools !== [] && ! in_array($school, $schools, true)) {
            throw InputError::at('school', 'There are two ways; choose one: '.implode(' or ', $schools).'.');
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($guide, $schools, $school, $by): Said {
            if (! Traits::of($this->knowledge->families[$job->machine->family]->traits ?? [])->allow($guide->needs)) {
                throw Refused::because('guide', "“{$guide->name}” is not for this machine: its traits are others.");
            }
            if (GuideRun::query()->where(['job_id' => $job->id, 'guide' => $guide->code])->whereNull('ended_at')->exists()) {
                throw Refused::because('guide', "“{$guide->name}” is open in this job already.");
            }
            GuideRun::query()->create([
                'job_id' => $job->id,
                'guide' => $guide->code,
                'school' => $schools === [] ? null : $school,
                'person_id' => $by->id,
                'began_at' => now(),
            ]);

            return new Said('guide', "Guide begun: {$guide->name}".($schools === [] ? '' : ", {$school}"));
        }, at: OnlyAt::the('guides are worked through', Station::Repair));
    }

    public function tick(Job $job, int $run, int $number, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($run, $number, $by): Said {
            $found = $this->open($job, $run);
            $guide = $this->knowledge->guide($found->guide);
            $step = $guide->stepsOf($found->school)[$number] ?? throw Refused::notFound(
                'step',
                "“{$guide->name}” has no step {$number} done this way.",
            );
            if ($step->power === Power::On && RedTag::wornBy($job->machine_id) !== null) {
                throw Refused::because(
                    'step',
                    'This step needs power, and the machine wears a red tag. The tag comes off first: cause, measurement, two signatures.',
                );
            }
            if (GuideStepDone::query()->where(['guide_run_id' => $found->id, 'step' => $number])->exists()) {
                throw Refused::because('step', 'This step is ticked already.');
            }
            GuideStepDone::query()->create(['guide_run_id' => $found->id, 'step' => $number, 'person_id' => $by->id, 'at' => now()]);
            if ($step->off !== null) {
                $off = $step->off;
                $this->takeOff->put($job, new Removal(
                    off: $off->what,
                    fasteners: FastenerList::read($off->fasteners),
                    sockets: $off->sockets,
                    parts: $off->parts,
                    after: $off->independent ? [] : null,
                    wayRound: $off->wayRound,
                    caution: $step->caution,
                    undoFirst: $off->undoFirst,
                    firstPass: $off->firstPass,
                    secondPass: $off->secondPass,
                    check: $off->check,
                    guideRun: $found->id, guideStep: $number,
                ), $by);
            }

            return new Said('guide', "{$guide->name}, step {$number}: ".mb_strimwidth($step->do, 0, 120, '…'));
        });
    }

    /** Takes a tick away; what it put on the tray goes with it unless it is back already. */
    public function untick(Job $job, int $run, int $number, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($run, $number, $by): Said {
            $found = $this->open($job, $run);
            if (GuideStepDone::query()->where(['guide_run_id' => $found->id, 'step' => $number])->delete() === 0) {
                throw Refused::because('step', 'This step is not ticked.');
            }
            $taken = TakenOff::query()->with('back')
                ->where(['guide_run_id' => $found->id, 'guide_step' => $number])
                ->whereNull('withdrawn_at')
                ->first();
            if ($taken !== null && $taken->back === null) {
                $taken->update(['withdrawn_at' => now(), 'withdrawn_by' => $by->id]);
            }

            return new Said('guide', "{$this->knowledge->guide($found->guide)->name}, step {$number}: not done after all");
        });
    }

    /** @param  float|null  $minutes  of hands; nothing for what was measured */
    public function end(Job $job, int $run, bool $givenUp, ?float $minutes, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($run, $givenUp, $minutes, $by): Said {
            $found = $this->open($job, $run);
            $guide = $this->knowledge->guide($found->guide);
            $left = array_diff(array_keys($guide->stepsOf($found->school)), $found->done->pluck('step')->all());
            if (! $givenUp && $left !== []) {
                throw Refused::because(
                    'step',
                    count($left) === 1
                        ? 'Step '.implode('', $left).' is not ticked.'
                        : 'Steps '.implode(', ', $left).' are not ticked. Tick what is done, or stop the guide here.',
                );
            }
            $took = $minutes ?? $this->times->handsOn($found, now());
            $found->update(['ended_at' => now(), 'given_up' => $givenUp, 'minutes' => $took > 0 ? round($took, 1) : null]);
            Timer::query()->where('guide_run_id', $found->id)
                ->whereNull('stopped_at')
                ->update(['stopped_at' => now(), 'stopped_by' => $by->id]);
            if ($givenUp) {
                return new Said('guide', "Guide stopped: {$guide->name}, after ".$found->done->count().' steps');
            }
            $mended = $this->noteMended($job, $guide, $found, $by);
            $this->service->doneByGuide($job, $guide->code, $by);

            return new Said(
                'guide',
                "Guide done: {$guide->name}, ".round($took).' min'.($mended === [] ? '' : '. Mended: '.implode(', ', $mended)),
            );
        });
    }

    /** @return list<string> names of faults that are mended now */
    private function noteMended(Job $job, Guide $guide, GuideRun $run, Person $by): array
    {
        $words = $guide->name.($run->school === null ? '' : ", {$run->school}");
        $state = JobState::of($job);
        $open = WorkOnJob::of($state)->unmended($state);
        $mended = [];
        foreach (array_intersect($guide->mends, $open) as $code) {
            $fault = $this->knowledge->fault($code);
            $this->mends->put(
                $job,
                $fault,
                $fault->mend()->school,
                $words,
                array_values(array_unique([...$fault->mend()->touches, ...$guide->touches])),
                $by,
            );
            $mended[] = $fault->name;
        }
        if ($mended === [] && $guide->touches !== []) {
            $this->mends->put($job, null, null, $words, $guide->touches, $by);
        }

        return $mended;
    }

    private function open(Job $job, int $run): GuideRun
    {
        return GuideRun::query()->with('done')->where(['id' => $run, 'job_id' => $job->id])->whereNull('ended_at')->first()
            ?? throw Refused::notFound('run', 'This guide is not open in this job.');
    }
}
