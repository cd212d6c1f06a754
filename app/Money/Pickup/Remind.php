<?php

declare(strict_types=1);

namespace App\Money\Pickup;

use App\Api\Refused;
use App\Intake\Job;
use App\Money\Messages\NoteMessage;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Money\StorageDue;

/** A letter to an owner who has not fetched a machine. Each of them goes once. */
final readonly class Remind
{
    public function __construct(private NoteMessage $messages)
    {
    }

    /**
     * @param  'phone'|'letter'|'email'|'page'|'counter'  $way
     *
     * @throws InputError when there is no such letter
     * @throws Refused when its owner was never told, it went already, or the machine was fetched
     */
    public function remind(Job $job, int $afterDays, string $way, string $text, Person $by): void
    {
        if (! in_array($afterDays, StorageDue::LETTERS, true)) {
            throw InputError::at('afterDays', 'A letter goes after '.implode(', ', StorageDue::LETTERS).' days.');
        }
        DB::transaction(function () use ($job, $afterDays, $way, $text, $by): void {
            $job = Job::query()->lockForUpdate()->findOrFail($job->id);
            if (! $job->isOpen() || Pickup::query()->find($job->id) === null) {
                throw Refused::because('afterDays', $job->isOpen()
                    ? 'Its owner has not been told yet that it is ready. Tell that first.'
                    : 'It was fetched: nobody is reminded any more.');
            }
            if (DB::table('reminders')->where(['job_id' => $job->id, 'after_days' => $afterDays])->exists()) {
                throw Refused::because('afterDays', "The letter after {$afterDays} days has gone already.");
            }
            DB::table('reminders')->insert(['job_id' => $job->id, 'after_days' => $afterDays, 'person_id' => $by->id, 'at' => now()]);
            $this->messages->note($job, 'reminder', $way, $text, $by);
        });
    }
}
