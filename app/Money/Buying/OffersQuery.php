<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Intake\Job;
use App\Intake\JobState;
use Illuminate\Support\Collection;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\BidCap;

/** Machines on offer: what to pay for each at most, and how those that were bought are doing. */
final readonly class OffersQuery
{
    private const SHOWN = 200;

    public function __construct(
        private Knowledge $knowledge,
        private BidCap $bid,
        private LookQuery $look,
        private PlanViews $plan,
        private OfferStanding $standing,
        private SoldQuery $sold,
    ) {
    }

    public function all(): OffersView
    {
        $offers = Offer::query()->with(['stages', 'machine'])->orderByDesc('id')->limit(self::SHOWN)->get();

        return new OffersView(array_map(static fn (StandingOffer $s): OfferLine => $s->line, $this->standing($offers)));
    }

    /**
     * How each stands and what it made; the relations stages and machine must be loaded.
     *
     * @param  Collection<int, Offer>  $offers
     * @return list<StandingOffer>
     */
    public function standing(Collection $offers): array
    {
        $jobs = $this->openJobs($offers->pluck('machine_id')->filter()->all());
        $states = JobState::ofMany(collect($jobs)->keyBy('id'));
        $sold = $this->sold->of($offers);

        return array_values($offers->map(function (Offer $offer) use ($jobs, $states, $sold): StandingOffer {
            $bid = $this->bid->judge($offer->case());
            $job = $jobs[$offer->machine_id ?? 0] ?? null;
            [, $stop, $stands] = $this->standing->of($offer, $bid, $job === null ? null : $states[$job->id], $sold[$offer->id]);

            return new StandingOffer($offer, $sold[$offer->id], new OfferLine(
                $offer->id,
                $this->knowledge->familyName($offer->family),
                $offer->seller,
                $offer->says,
                $offer->state,
                $offer->asked_minor,
                $offer->most_minor ?? $bid->most,
                $offer->bought_minor,
                $offer->machine?->tag,
                $stands,
                $stop,
                $offer->at->toIso8601String(),
            ));
        })->all());
    }

    public function one(int $id): OfferPageView
    {
        $offer = Offer::query()->with(['stages', 'machine', 'person'])->findOrFail($id);
        $case = $offer->case();
        $bid = $this->bid->judge($case);
        $job = $offer->machine_id === null ? null : ($this->openJobs([$offer->machine_id])[$offer->machine_id] ?? null);
        $sold = $this->sold->of(collect([$offer]))[$offer->id];
        [$needed, $stop, $stands] = $this->standing->of($offer, $bid, $job === null ? null : JobState::of($job), $sold);

        return new OfferPageView(
            $offer->id,
            $offer->version,
            $offer->family,
            $this->knowledge->familyName($offer->family),
            $offer->seller,
            $offer->says,
            $offer->findings,
            $offer->missing,
            $offer->asked_minor,
            $offer->freight_minor,
            $offer->missing_minor,
            $offer->selling_minor,
            $offer->sells_minor,
            $offer->single_minor,
            $offer->parts_minor,
            $offer->margin_minor,
            $offer->state,
            $offer->most_minor ?? $bid->most,
            (int) round($bid->worth),
            $offer->asked_minor === null ? null : $bid->earns($offer->asked_minor),
            $offer->asked_minor === null ? null : round($bid->winsAt($offer->asked_minor), 4),
            round($bid->winsAt(max(0, $bid->most)), 4),
            $this->plan->stages($case, $bid, $offer),
            PlanViews::ends($bid),
            $this->look->likely($this->look->session($offer->family, $offer->findings)),
            $offer->bought_minor,
            $offer->machine?->tag,
            $job?->id,
            $offer->let_go_because,
            $needed,
            $stop,
            $stands,
            $sold,
            $offer->machine !== null && SellMachine::may($offer->machine),
            $offer->person->name,
            $offer->at->toIso8601String(),
        );
    }

    /**
     * @param  array<int, mixed>  $machines  ids
     * @return array<int, Job> machine id => its open job
     */
    private function openJobs(array $machines): array
    {
        return Job::query()->with('machine')->whereIn('machine_id', $machines)->whereNull('finished_at')->get()->keyBy('machine_id')->all();
    }
}
