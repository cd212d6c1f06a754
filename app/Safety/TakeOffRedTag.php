<?php

declare(strict_types=1);

namespace App\Safety;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use App\Shop\Role;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Safety\TagOff;

/** Takes a red tag off with two signatures, and lets a lead sign for the one supervised powered test. */
final readonly class TakeOffRedTag
{
    public function __construct(private JobRecord $record, private Knowledge $knowledge)
    {
    }

    /** The first signature: cause and measurement. */
    public function ask(Job $job, string $cause, string $measurement, Person $by): Job
    {
        $off = TagOff::asked($cause, $measurement);

        return $this->record->write($job, $by, null, function (Job $job) use ($off, $by): Said {
            $this->tag($job)->update([
                'cause' => $off->cause,
                'measurement' => $off->measurement,
                'off_asked_by' => $by->id,
                'off_asked_at' => now(),
            ]);

            return new Said('red-tag-asked', "Red tag may come off, first signature: {$off->cause}; measured {$off->measurement}");
        });
    }

    /** The second signature: another person, a lead. */
    public function countersign(Job $job, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($by): Said {
            $tag = $this->tag($job);
            if ($tag->off_asked_by === null) {
                throw Refused::because('signature', 'Nobody has named the cause and the measurement yet.');
            }
            TagOff::mayCountersign($by->role === Role::Lead, $tag->off_asked_by === $by->id);
            $tag->update(['countersigned_by' => $by->id, 'off_at' => now()]);

            return new Said(
                'red-tag-off',
                "Red tag off, second signature: {$by->name}. Cause: {$tag->cause}; measured {$tag->measurement}",
            );
        }, byHand: false);
    }

    /** A lead signs for one powered test, once for each tag, with somebody beside the switch. */
    public function signTest(Job $job, string $check, string $besideTheSwitch, Person $by): Job
    {
        $known = $this->knowledge->check($check, 'check');
        if (! $known->state->needsPower()) {
            throw InputError::at('check', "“{$known->name}” needs no power; it is open under a red tag without a signature.");
        }

        return $this->record->write($job, $by, null, function (Job $job) use ($known, $besideTheSwitch, $by): Said {
            $tag = $this->tag($job);
            if (SupervisedTest::query()->where('red_tag_id', $tag->id)->exists()) {
                throw Refused::because('check', 'One supervised test was signed for already; there is only one for each tag.');
            }
            SupervisedTest::query()->create([
                'red_tag_id' => $tag->id,
                'test' => $known->code,
                'beside_the_switch' => $besideTheSwitch,
                'signed_by' => $by->id,
                'signed_at' => now(),
            ]);

            return new Said(
                'supervised-test',
                "One supervised powered test signed for: {$known->name}, {$besideTheSwitch} beside the switch",
            );
        }, byHand: false);
    }

    private function tag(Job $job): RedTag
    {
        return RedTag::query()->where('machine_id', $job->machine_id)->whereNull('off_at')->lockForUpdate()->first()
            ?? throw Refused::because('redTag', 'This machine wears no red tag.');
    }
}
