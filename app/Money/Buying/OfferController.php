<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Support\Facades\Gate;

final readonly class OfferController
{
    public function __construct(private OffersQuery $offers)
    {
    }

    public function index(): OffersView
    {
        Gate::authorize(Ability::SeeMoney);

        return $this->offers->all();
    }

    public function show(int $offer): OfferPageView
    {
        Gate::authorize(Ability::SeeMoney);

        return $this->offers->one($offer);
    }

    /** Works something out and keeps nothing. */
    public function look(LookRequest $request, LookQuery $look): OfferLookView
    {
        Gate::authorize(Ability::SeeMoney);

        return $look->at(
            $request->string('family')->toString(),
            array_values(array_filter((array) $request->input('findings'), is_string(...))),
            $request->sumOrNull('sells'),
            $request->sumOrNull('single'),
            $request->sumOrNull('parts'),
        );
    }

    public function store(OfferRequest $request, KeepOffer $keep): OfferPageView
    {
        Gate::authorize(Ability::SeeMoney);

        return $this->offers->one($keep->add($request->sheet(), $request->boolean('belowParts'), Here::person())->id);
    }

    public function update(int $offer, OfferRequest $request, KeepOffer $keep): OfferPageView
    {
        Gate::authorize(Ability::SeeMoney);
        $keep->change(
            Offer::query()->findOrFail($offer),
            $request->sheet(),
            $request->boolean('belowParts'),
            $request->integer('version'),
        );

        return $this->offers->one($offer);
    }

    public function buy(int $offer, BuyRequest $request, DecideOffer $decide): OfferPageView
    {
        Gate::authorize(Ability::SeeMoney);
        Gate::authorize(Ability::BookIn);
        $decide->buy(
            Offer::query()->findOrFail($offer),
            $request->sum('paid'),
            $request->words('serial'),
            $request->boolean('overMost'),
            $request->integer('version'),
            Here::person(),
        );

        return $this->offers->one($offer);
    }

    public function letGo(int $offer, LetGoRequest $request, DecideOffer $decide): OfferPageView
    {
        Gate::authorize(Ability::SeeMoney);
        $decide->letGo(Offer::query()->findOrFail($offer), $request->string('because')->trim()->toString(), $request->integer('version'));

        return $this->offers->one($offer);
    }

    public function stage(int $offer, int $place, StageRequest $request, NoteStage $note): OfferPageView
    {
        Gate::authorize(Ability::SeeMoney);
        /** @var 'passed'|'failed'|'stopped' $outcome */
        $outcome = $request->string('outcome')->toString();
        $note->note(Offer::query()->findOrFail($offer), $place, $outcome, $request->sum('real'), Here::person());

        return $this->offers->one($offer);
    }
}
