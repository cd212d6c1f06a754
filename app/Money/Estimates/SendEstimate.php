<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\Refused;
use App\Diagnosis\Findings\FoundInJob;
use App\Intake\HearsPromise;
use App\Intake\Job;
use App\Intake\JobRecord;
use App\Intake\JobState;
use App\Intake\Said;
use App\Money\Messages\NoteMessage;
use App\Shop\Person;
use OddBench\Money\Price;

/** An estimate goes to the owner: frozen as it stands, and the job waits for the answer. */
final readonly class SendEstimate
{
    public function __construct(
        private JobRecord $record,
        private EstimateQuery $estimate,
        private NoteMessage $messages,
        private HearsPromise $promises,
    ) {
    }

    /**
     * @param  Job|int  $job  the job, or its id
     * @param  'phone'|'letter'|'email'|'page'|'counter'  $way
     * @param  int  $upToFinding  the last finding the sender saw it with
     *
     * @throws Refused when there is no owner, nothing is known yet, or it is older than the last finding
     */
    public function send(Job|int $job, string $way, int $upToFinding, Person $by): Job
    {
        return $this->record->write($job, $by, null, function (Job $job) use ($way, $upToFinding, $by): Said {
            if ($job->machine->held_as !== 'owner') {
                throw Refused::because('way', 'This machine is the shop’s own: there is nobody to ask.');
            }
            $state = JobState::of($job);
            $this->refuseOlder($state, $upToFinding);
            $now = $this->estimate->of($state) ?? throw Refused::because(
                'way',
                'Find knows nothing of this machine yet. Say at least what it does, and an estimate can be made.',
            );
            SentEstimate::query()->where('job_id', $job->id)->whereNull('superseded_at')->update(['superseded_at' => now()]);
            $sent = SentEstimate::query()->create([
                'job_id' => $job->id,
                'number' => 1 + (int) SentEstimate::query()->where('job_id', $job->id)->max('number'),
                'expected_minor' => $now->expectedMinor,
                'ceiling_minor' => $now->ceilingMinor,
                'frozen' => $now->jsonSerialize(),
                'way' => $way,
                'person_id' => $by->id,
                'at' => now(),
            ]);
            $words = sprintf(
                'Estimate %d: about %s, not more than %s in %d of 10.',
                $sent->number,
                Price::words($now->expectedMinor),
                Price::words($now->ceilingMinor),
                $now->inTen,
            );
            $this->messages->note($job, 'estimate', $way, $words, $by);
            $job->asked = true;
            $this->promises->promised($job, 'estimate', $by);
            $job->waitFor('owner', "The owner to answer estimate {$sent->number}");

            // what it says is shown to whom money is shown
            return new Said('estimate', "Estimate {$sent->number} sent to its owner");
        }, byHand: false);
    }

    private function refuseOlder(JobState $state, int $upToFinding): void
    {
        $newer = FoundInJob::of($state)->everFound->where('id', '>', $upToFinding)->count();
        if ($newer > 0) {
            throw Refused::because('upToFinding', sprintf(
                '%s since this estimate was looked at. Look at it once more as it stands now, then send it.',
                $newer === 1 ? 'A finding was added' : "{$newer} findings were added",
            ));
        }
    }
}
