<?php

declare(strict_types=1);

namespace App\Money\Pickup;

use App\Api\Refused;
use App\Intake\Job;
use App\Money\Messages\NoteMessage;
use App\Money\Terms\PriceList;
use App\Shop\Person;
use App\Shop\ShopDay;
use Illuminate\Support\Facades\DB;
use OddBench\Intake\Station;

/** An owner was told that a machine is ready: from that day storage counts, as it was agreed then. */
final readonly class TellReady
{
    public function __construct(private NoteMessage $messages, private ShopDay $day)
    {
    }

    /**
     * @param  'phone'|'letter'|'email'|'page'|'counter'  $way
     * @param  int|null  $freeDays  as agreed; null for the price list’s
     * @param  int|null  $perDay  minor units
     *
     * @throws Refused when it is not ready, is no owner’s, or was told before
     */
    public function tell(Job $job, string $way, string $text, ?int $freeDays, ?int $perDay, Person $by): Pickup
    {
        return DB::transaction(function () use ($job, $way, $text, $freeDays, $perDay, $by): Pickup {
            $job = Job::query()->with('machine')->lockForUpdate()->findOrFail($job->id);
            if ($job->machine->held_as !== 'owner' || ! $job->isOpen() || $job->station !== Station::Release) {
                throw Refused::because('way', 'Only an owner’s machine that stands at Send out is ready to be fetched.');
            }
            if (Pickup::query()->where('job_id', $job->id)->exists()) {
                throw Refused::because('way', 'Its owner was told already. A letter after some weeks is under “Not fetched”.');
            }
            $terms = PriceList::read();
            $this->messages->note($job, 'ready', $way, $text, $by);

            return Pickup::query()->create([
                'job_id' => $job->id,
                'ready_on' => $this->day->today(),
                'free_days' => $freeDays ?? $terms->freeDays,
                'per_day_minor' => $perDay ?? $terms->storageDayMinor,
                'person_id' => $by->id,
                'at' => now(),
            ])->refresh();
        });
    }
}
