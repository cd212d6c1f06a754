<?php

declare(strict_types=1);

namespace App\Money;

use App\Intake\JobStates;
use App\Intake\Photograph;
use App\Intake\PhotographView;
use App\Money\Buying\Offer;
use App\Money\Buying\SellMachine;
use App\Money\Charges\Bill;
use App\Money\Charges\BillView;
use App\Money\Charges\ChargeQuery;
use App\Money\Estimates\AnswerKey;
use App\Money\Estimates\EstimateQuery;
use App\Money\Estimates\EstimatesOfJob;
use App\Money\Estimates\EstimateWords;
use App\Money\Estimates\OwnerAnswerView;
use App\Money\Estimates\SentEstimate;
use App\Money\Estimates\SentEstimateView;
use App\Money\Messages\Message;
use App\Money\Messages\MessageView;
use App\Money\Pickup\PickupsQuery;
use App\Money\Worth\WorthQuery;
use App\Shop\Ability;
use App\Shop\Person;
use Illuminate\Support\Facades\Gate;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;

/** Gathers what is money in a job. */
final readonly class JobMoney
{
    public function __construct(
        private Knowledge $knowledge,
        private EstimateQuery $estimate,
        private ChargeQuery $charge,
        private WorthQuery $worth,
        private PickupsQuery $pickups,
        private JobStates $states,
    ) {
    }

    public function of(int $id, ?int $sellsAt = null, ?int $asIs = null): JobMoneyView
    {
        $state = $this->states->of($id);
        $job = $state->job;
        $job->machine->loadMissing('owner');
        $family = $this->knowledge->familyName($job->machine->family);
        $estimate = $this->estimate->of($state);
        $estimates = EstimatesOfJob::of($state);
        $bill = Bill::of($state);
        $messages = Message::query()->where('job_id', $id)->orderByDesc('id')->get();
        Person::name([...$estimates->sent, ...$estimates->sent->pluck('answer')->filter(), ...array_filter([$bill]), ...$messages]);
        $charge = $this->charge->draft($state);
        $pickup = $this->pickups->ofJob($id);
        $approval = $estimates->approval();
        $address = static fn (int $number): ?string => Gate::allows(Ability::SeeOwners) ? AnswerKey::address($id, $number) : null;

        return new JobMoneyView(
            $id,
            $job->machine->held_as,
            $job->machine->owner?->name,
            $estimate,
            $estimate === null ? null : EstimateWords::letter(
                $job,
                $family,
                $estimate->jsonSerialize(),
                $address(1 + (int) $estimates->sent->max('number')),
            ),
            array_values($estimates->sent->map(static fn (SentEstimate $s): SentEstimateView => new SentEstimateView(
                $s->id,
                $s->number,
                $s->expected_minor,
                $s->ceiling_minor,
                is_int($s->frozen['inTen'] ?? null) ? $s->frozen['inTen'] : 8,
                $s->way,
                $s->person->name,
                $s->at->toIso8601String(),
                $s->superseded_at === null,
                EstimateWords::letter($job, $family, $s->frozen, $address($s->number)),
                $s->answer === null ? null : OwnerAnswerView::of($s->answer),
            ))->all()),
            $approval->against($estimate->expectedMinor ?? 0, true),
            $approval->left($bill->gross_minor ?? $charge->grossMinor),
            $this->worth->of($state, $sellsAt, $asIs),
            $charge,
            $bill === null ? null : BillView::of($bill),
            array_values($messages->map(MessageView::of(...))->all()),
            array_values(Photograph::query()->where('job_id', $id)->orderBy('id')->get()->map(PhotographView::of(...))->all()),
            $pickup,
            Offer::ofJob($state)?->id,
            SellMachine::may($job->machine),
            $job->isOpen() && $job->station === Station::Release && $job->machine->held_as === 'owner' && $pickup === null,
            Gate::allows(Ability::SeeOwners) ? "/o/{$job->machine->page_key}" : null,
        );
    }
}
