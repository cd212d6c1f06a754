<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\Refused;
use App\Intake\BookIn;
use App\Intake\Booking;
use App\Intake\Job;
use App\Machines\RegisterMachine;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;
use OddBench\Money\BidCap;
use OddBench\Money\Price;

/** A machine on offer is bought, booked in with what its seller said, or let go. */
final readonly class DecideOffer
{
    public function __construct(private RegisterMachine $register, private BookIn $bookIn, private BidCap $bid)
    {
    }

    /**
     * @param  bool  $overMost  it costs more than the most to pay, and that is so
     *
     * @throws Refused when it is decided already, or costs more than the most to pay and nobody has said that it is so
     */
    public function buy(Offer $offer, int $paid, ?string $serial, bool $overMost, int $version, Person $by): Job
    {
        return DB::transaction(function () use ($offer, $paid, $serial, $overMost, $version, $by): Job {
            $offer = KeepOffer::open($offer, $version)->load('stages');
            $bid = $this->bid->judge($offer->case());
            if ($paid > $bid->most && ! $overMost) {
                throw Refused::because('overMost', sprintf(
                    'The most to pay is %s; at %s it earns %s on the average instead of %s. Pay less, or say that it is so.',
                    Price::words($bid->most),
                    Price::words($paid),
                    Price::words($bid->earns($paid)),
                    Price::words($offer->margin_minor),
                ));
            }
            $machine = $this->register->register($offer->family, $serial, 'resale', null, $paid);
            $offer->update([
                'state' => 'bought',
                'bought_minor' => $paid,
                'most_minor' => $bid->most,
                'machine_id' => $machine->id,
                'decided_at' => now(),
                'version' => $offer->version + 1,
            ]);

            return $this->bookIn->book($machine, new Booking(
                kind: JobKind::Refurbish,
                complaint: $offer->says,
                began: Began::NotKnown,
                cameAlong: $offer->missing === null ? null : mb_substr("Missing: {$offer->missing}", 0, 500),
                told: $offer->findings,
            ), $by);
        });
    }

    /** @throws Refused when it is decided already */
    public function letGo(Offer $offer, string $because, int $version): void
    {
        DB::transaction(function () use ($offer, $because, $version): void {
            $offer = KeepOffer::open($offer, $version)->load('stages');
            $offer->update([
                'state' => 'let-go',
                'let_go_because' => $because,
                'most_minor' => $this->bid->judge($offer->case())->most,
                'decided_at' => now(),
                'version' => $offer->version + 1,
            ]);
        });
    }
}
