<?php

declare(strict_types=1);

namespace App\Safety;

use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use OddBench\Input\InputError;

/** Puts a red tag on a machine; a second danger is added to the tag that is on. */
final readonly class PutOnRedTag
{
    public function __construct(private JobRecord $record)
    {
    }

    public function byHand(Job $job, string $reason, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($reason, $by): Said {
            if (mb_strlen(trim($reason)) < 3) {
                throw InputError::at('reason', 'Say what the danger is.');
            }

            return $this->on($job, trim($reason), $by);
        });
    }

    /** Inside a running write. */
    public function on(Job $job, string $reason, Person $by): Said
    {
        $tag = RedTag::query()->where('machine_id', $job->machine_id)->whereNull('off_at')->lockForUpdate()->first();
        if ($tag === null) {
            RedTag::query()->create([
                'machine_id' => $job->machine_id,
                'job_id' => $job->id,
                'reason' => $reason,
                'put_on_by' => $by->id,
                'put_on_at' => now(),
            ]);
        } elseif (! str_contains($tag->reason, $reason)) {
            // a new danger: what was asked for the old one no longer covers it
            $tag->update([
                'reason' => "{$tag->reason}; {$reason}",
                'cause' => null,
                'measurement' => null,
                'off_asked_by' => null,
                'off_asked_at' => null,
            ]);
        }

        return new Said('red-tag-on', "Red tag on: {$reason}. Unplugged, no power.");
    }
}
