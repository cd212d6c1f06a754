<?php

declare(strict_types=1);

namespace App\Release;

use App\Api\Refused;
use App\Diagnosis\RecountFaults;
use App\Instruments\KeepBaselines;
use App\Intake\Hands;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\Said;
use App\Shop\Person;
use App\Stock\Promises;
use OddBench\Intake\Station;
use OddBench\Release\Destination;

/** Signs a machine out and ends its job. */
final readonly class SendOut
{
    public function __construct(private JobRecord $record, private GateQuery $gate, private Hands $hands, private KeepBaselines $baselines, private Promises $promises)
    {
    }

    /**
     * @param  string|null  $danger  the danger in writing, for a tagged machine that goes back unmended
     *
     * @throws Refused with every reason against
     */
    public function send(Job $job, Destination $to, ?string $note, ?string $danger, ?int $priceMinor, int $version, Person $by): Job
    {
        return $this->record->write($job, $by, $version, function (Job $job) use ($to, $note, $danger, $priceMinor, $by): Said {
            $reasons = $this->gate->of($job)->reasonsAgainst($to, $danger !== null && mb_strlen(trim($danger)) >= 10);
            if (! in_array($to, Destination::forMachineHeldAs($job->machine->held_as), true)) {
                $reasons = ["“{$to->words()}” does not fit: this machine is ".match ($job->machine->held_as) {
                    'owner' => 'an owner’s', 'farm' => 'our farm’s', default => 'bought for resale'
                }.'.'];
            }
            if ($reasons !== []) {
                throw Refused::because('to', ...$reasons);
            }
            Release::query()->create(['job_id' => $job->id, 'destination' => $to->value, 'note' => $note, 'danger' => $danger, 'price_minor' => $priceMinor, 'person_id' => $by->id, 'at' => now()]);
            $this->hands->off($job);
            $this->promises->release($job);
            $job->station = Station::Release;
            $job->finished_at = now();
            $job->waits_for = $job->waits_note = $job->waits_until = null;
            $job->machine->update(['place' => $to->value]);
            if ($to->runsAgain()) {
                $this->baselines->of($job);
            }
            RecountFaults::dispatch()->afterCommit();

            return new Said('sent-out', 'Signed out: '.mb_strtolower($to->words()).($danger === null ? '' : ". Danger in writing: {$danger}").($note === null ? '' : ". {$note}"));
        }, byHand: false);
    }
}
