<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\Refused;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;

/** How a staged test of a bought machine went, and what it really cost. */
final readonly class NoteStage
{
    /**
     * @param  'passed'|'failed'|'stopped'  $outcome
     * @param  int  $real  minor units
     *
     * @throws Refused when the machine is not bought, the test before it has not passed, or it was noted already
     */
    public function note(Offer $offer, int $place, string $outcome, int $real, Person $by): void
    {
        DB::transaction(function () use ($offer, $place, $outcome, $real, $by): void {
            $offer = Offer::query()->lockForUpdate()->findOrFail($offer->id);
            $stage = OfferStage::query()->where(['offer_id' => $offer->id, 'place' => $place])->first()
                ?? throw Refused::notFound('stage', 'The plan has no such test.');
            if ($offer->state !== 'bought') {
                throw Refused::because('stage', 'The machine is not bought: there is nothing to test yet.');
            }
            if ($stage->outcome !== null) {
                throw Refused::because('stage', "“{$stage->name}” was noted already: {$stage->outcome}.");
            }
            $before = OfferStage::query()->where('offer_id', $offer->id)
                ->where('place', '<', $place)
                ->where(static fn ($q) => $q->whereNull('outcome')->orWhere('outcome', '<>', 'passed'))
                ->orderBy('place')
                ->first();
            if ($before !== null) {
                throw Refused::because('stage', "“{$before->name}” comes first, and it has not passed.");
            }
            $stage->update(['outcome' => $outcome, 'real_minor' => $real, 'person_id' => $by->id, 'done_at' => now()]);
        });
    }
}
