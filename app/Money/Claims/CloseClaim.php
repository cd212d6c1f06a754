<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** A claim ends: met, met in part, refused or dropped. The job waits for it no more. */
final readonly class CloseClaim
{
    public function __construct(private JobRecord $record)
    {
    }

    /**
     * @param  'won'|'partly'|'lost'|'dropped'  $state
     * @param  int|null  $got  minor units
     *
     * @throws InputError when a met claim brought nothing, or a lost one something
     * @throws Refused when it is closed already
     */
    public function close(Claim $claim, string $state, ?int $got, Person $by): void
    {
        $met = $state === 'won' || $state === 'partly';
        if ($met !== ($got !== null && $got > 0)) {
            throw InputError::at(
                'got',
                $met ? 'What did it bring? A part counts at what it would have cost.' : 'A claim that is not met brings nothing.',
            );
        }
        DB::transaction(function () use ($claim, $state, $got, $by): void {
            $claim = GoOnWithClaim::open($claim);
            $claim->update(['state' => $state, 'got_minor' => $got, 'closed_at' => now(), 'version' => $claim->version + 1]);
            $job = $claim->job_id === null ? null : Job::query()->find($claim->job_id);
            if ($job !== null && $job->isOpen()) {
                $this->record->write($job, $by, null, static function (Job $job) use ($claim, $state): Said {
                    if ($job->waits_for === 'claim') {
                        $job->waitFor(null);
                    }

                    return new Said('claim', "Claim against {$claim->against}: {$state}");
                }, byHand: false);
            }
        });
    }
}
