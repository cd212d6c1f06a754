<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\Refused;
use App\Intake\Job;
use App\Intake\JobState;
use App\Intake\TableWatch;
use App\Money\Charges\Bill;
use App\Money\Messages\NoteMessage;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Money\OwnerSaid;
use OddBench\Money\Price;

/** The owner’s answer to an estimate is kept with when and who; the job is ready for hands again. */
final readonly class AnswerEstimate
{
    public function __construct(private NoteMessage $messages, private SettleJob $settle, private TableWatch $watch)
    {
    }

    /**
     * @param  int|null  $upTo  minor units; not for a no
     * @param  'phone'|'letter'|'email'|'page'|'counter'  $way
     * @param  Person|null  $by  who took it down; nobody when its owner wrote it on the page
     * @param  string|null  $address  where its owner wrote it from
     *
     * @throws InputError when the sum is missing, or more than the estimate said and nobody spoke with its owner
     * @throws Refused when that estimate was answered already, or is no longer the one that stands
     */
    public function answer(
        SentEstimate $estimate,
        OwnerSaid $answer,
        ?int $upTo,
        string $saidBy,
        string $way,
        ?Person $by,
        ?string $address = null,
    ): EstimateAnswer {
        if ($answer !== OwnerSaid::DoNotMend && $upTo === null) {
            throw InputError::at('upTo', "“{$answer->words()}” needs its sum.");
        }
        if ($by === null && $upTo !== null && ($upTo < 1 || $upTo > $estimate->mostMinor())) {
            throw InputError::at('upTo', sprintf(
                'Give a sum up to %s, the most this estimate says. For more, please call us.',
                Price::words($estimate->mostMinor()),
            ));
        }

        return DB::transaction(function () use ($estimate, $answer, $upTo, $saidBy, $way, $by, $address): EstimateAnswer {
            // a second answer waits here for the first, and is told of it
            $job = Job::query()->with('machine')->lockForUpdate()->findOrFail($estimate->job_id);

            return JobState::within(
                $job,
                $this->watch,
                fn (): EstimateAnswer => $this->note($job, $estimate, $answer, $upTo, $saidBy, $way, $by, $address),
            );
        });
    }

    /** @param  'phone'|'letter'|'email'|'page'|'counter'  $way */
    private function note(
        Job $job,
        SentEstimate $estimate,
        OwnerSaid $answer,
        ?int $upTo,
        string $saidBy,
        string $way,
        ?Person $by,
        ?string $address,
    ): EstimateAnswer {
        $standing = SentEstimate::query()->with('answer')->findOrFail($estimate->id);
        $this->refuse($standing);
        $late = $job->finished_at !== null || in_array($job->station, [Station::Proof, Station::Release], true)
            || Bill::of(JobState::of($job)) !== null;
        $kept = EstimateAnswer::query()->create([
            'estimate_id' => $standing->id,
            'answer' => $answer->value,
            'up_to_minor' => $answer === OwnerSaid::DoNotMend ? null : $upTo,
            'said_by' => $saidBy,
            'way' => $way,
            'late' => $late,
            'person_id' => $by?->id,
            'at' => now(),
            'address' => $address,
        ]);
        $this->messages->note($job, 'answered', $way, $kept->words().($late ? '. It came when the work was done.' : ''), $by);
        $this->settle->after($job, $by ?? $standing->person, "Estimate {$standing->number} answered: ".match ($answer) {
            OwnerSaid::GoAhead => 'go ahead',
            OwnerSaid::AskAbove => 'go ahead, and ask again above a sum',
            OwnerSaid::DoNotMend => 'do not mend it',
        }, $way);

        return $kept;
    }

    private function refuse(SentEstimate $estimate): void
    {
        if ($estimate->answer !== null) {
            throw Refused::because('answer', sprintf(
                'This estimate was answered already, on %s by %s: %s. Send a new one to ask again.',
                $estimate->answer->at->format('j M Y H:i'),
                $estimate->answer->said_by,
                $estimate->answer->words(),
            ));
        }
        if ($estimate->superseded_at !== null) {
            throw Refused::because('answer', 'This estimate was replaced by a later one, or withdrawn. Answer the one that stands now.');
        }
    }
}
