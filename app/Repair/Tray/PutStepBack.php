<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\OnlyAt;
use App\Intake\Said;
use App\Repair\WorkOnJob;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Repair\FastenerList;
use OddBench\Repair\StepBack;

/** Ticks a teardown step as back on: in its order, with no more than there are places for. */
final readonly class PutStepBack
{
    public function __construct(private JobRecord $record, private TrayQuery $tray, private TakeOff $taken)
    {
    }

    /**
     * @param  array<string, int>|null  $fasteners  nothing for as it came out
     * @param  list<string>|null  $sockets  nothing for all of them
     * @param  array<string, string>|null  $parts  part => back, new or written-off; nothing for all back
     *
     * @throws InputError when it is not its turn yet or the counts cannot be
     */
    public function put(Job $job, int $number, ?array $fasteners, ?array $sockets, ?array $parts, bool $finished, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($number, $fasteners, $sockets, $parts, $finished, $by): Said {
            $taken = $this->taken->find($job, $number);
            $same = StepBack::asItCameOut($taken->step([]));
            $now = [];
            foreach ($parts ?? $same->parts as $part => $what) {
                if (! in_array($what, StepBack::PARTS, true)) {
                    throw InputError::at("parts.{$part}", 'Is the part back, new, or written off? Say back, new or written-off.');
                }
                $now[$part] = $what;
            }
            PutBack::query()->where('teardown_step_id', $taken->id)
                ->whereNull('undone_at')
                ->update(['undone_at' => now(), 'undone_by' => $by->id]);
            PutBack::query()->create([
                'teardown_step_id' => $taken->id,
                'job_id' => $job->id,
                'fasteners' => (object) ($fasteners ?? $same->fasteners),
                'sockets' => $sockets ?? $same->connectors,
                'parts' => (object) $now, 'finished' => $finished || $taken->second_pass === null, 'person_id' => $by->id, 'at' => now(),
            ]);
            $this->check($job);
            $in = FastenerList::words($fasteners ?? $same->fasteners);

            return new Said('put-back', ($finished ? 'Back: ' : 'First pass: ').$taken->off.($in === '' ? '' : " ({$in})"));
        }, at: OnlyAt::the('machines are put together', Station::Diagnosis, Station::Repair));
    }

    /** Takes a tick away. */
    public function undo(Job $job, int $number, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($number, $by): Said {
            $taken = $this->taken->find($job, $number);
            if ($taken->back === null) {
                throw Refused::because('step', "“{$taken->off}” is not ticked.");
            }
            $taken->back->update(['undone_at' => now(), 'undone_by' => $by->id]);
            try {
                $this->check($job);
            } catch (InputError) {
                throw Refused::because(
                    'step',
                    "“{$taken->off}” cannot come off again under what went on after it. Take those ticks away first.",
                );
            }

            return new Said('put-back', "Off again: {$taken->off}");
        });
    }

    /** Refuses what cannot be; the words name the field of this step. */
    private function check(Job $job): void
    {
        try {
            $this->tray->record(WorkOnJob::now($job));
        } catch (InputError $e) {
            throw InputError::at(
                preg_match(
                    '/^done\.\d+\.(fasteners|connectors|parts)/',
                    $e->field,
                    $found,
                ) === 1 ? str_replace('connectors', 'sockets', $found[1]) : 'step',
                $e->getMessage(),
            );
        }
    }
}
