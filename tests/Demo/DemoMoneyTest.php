<?php

declare(strict_types=1);

namespace Tests\Demo;

use App\Money\Buying\OffersQuery;
use App\Money\Claims\ClaimsQuery;
use App\Money\Estimates\SentEstimate;
use App\Money\Ledger\LedgerQuery;
use App\Money\Pickup\PickupsQuery;
use App\Shop\Setting;
use Illuminate\Support\Facades\DB;
use OddBench\Money\Exact;

/** The demo shop’s books agree with its stock, hours and jobs to the cent. */
final class DemoMoneyTest extends DemoTestCase
{
    public function test_the_ledger_of_all_days_is_what_moved_was_worked_and_was_billed(): void
    {
        $ledger = app(LedgerQuery::class)->of('2000-01-01', now()->addDay()->toDateString());
        $sum = static fn (string $sql): int => (int) DB::selectOne("SELECT coalesce(({$sql}), 0) AS sum")->sum;
        self::assertSame(
            $sum("SELECT -sum(value_minor) FROM movements WHERE job_id IS NOT NULL AND kind IN ('used', 'returned')"),
            $ledger->partsMinor,
        );
        self::assertSame($sum('SELECT sum(value_minor) FROM parts'), $ledger->stockMinor);
        self::assertSame($sum('SELECT sum(net_minor) FROM bills'), $ledger->chargedMinor);
        self::assertSame($sum('SELECT sum(own_cost_minor) FROM bills WHERE free_because IS NOT NULL'), $ledger->warrantyMinor);
        self::assertSame($sum("SELECT sum(price_paid_minor) FROM machines WHERE held_as = 'resale'"), $ledger->boughtMinor);
        self::assertSame($sum('SELECT sum(price_minor) FROM sales'), $ledger->soldMinor);
        $minutes = (float) DB::selectOne(
            'SELECT sum(extract(epoch FROM ended_at - began_at)) / 60 AS m FROM work_spells WHERE ended_at IS NOT NULL',
        )->m;
        self::assertEqualsWithDelta($minutes, $ledger->handsMinutes, 0.1);
        $perFamily = array_sum(array_map(
            static fn ($l): int => Exact::hands($l->handsMinutes, (float) Setting::benchMinuteMinor()),
            $ledger->families,
        ));
        self::assertEqualsWithDelta($perFamily, $ledger->handsMinor, 50, 'but for tenths of minutes');
        foreach (['partsMinor', 'chargedMinor', 'warrantyMinor'] as $of) {
            $faults = array_sum(array_map(static fn ($l): int => $l->{$of}, $ledger->faults));
            self::assertSame($ledger->{$of}, $faults, "{$of} by fault");
        }
    }

    public function test_each_bill_adds_up_from_what_its_job_took(): void
    {
        foreach (DB::table('bills')->orderBy('id')->get() as $bill) {
            $parts = DB::table('movements')->where('job_id', $bill->job_id)->whereIn('kind', ['used', 'returned'])->sum('value_minor');
            $minutes = (float) DB::selectOne(
                'SELECT coalesce(sum(extract(epoch FROM ended_at - began_at)) / 60, 0) AS m FROM work_spells '
                    .'WHERE job_id = ? AND began_at < ?',
                [$bill->job_id, $bill->at],
            )->m;
            // hands at what they cost, parts at cost, freight
            self::assertEqualsWithDelta(
                90 * $minutes - $parts + $bill->freight_minor,
                $bill->own_cost_minor,
                25,
                "bill {$bill->number}: but for tenths of minutes by station",
            );
            self::assertSame((int) $bill->gross_minor, $bill->net_minor + Exact::percent((int) $bill->net_minor, (float) $bill->tax_pct));
            $lines = array_sum(array_column((array) json_decode((string) $bill->lines, true), 'minor'));
            self::assertSame($bill->free_because === null ? max(1500, $lines) : 0, (int) $bill->net_minor);
        }
        self::assertSame(DB::table('bills')->count(), (int) DB::table('bills')->max('number'));
    }

    public function test_estimates_stand_in_all_states(): void
    {
        $states = SentEstimate::query()->with('answer')->get()->map(
            static fn (SentEstimate $e): string => ($e->answer?->answer->value ?? 'waiting')
                .($e->superseded_at === null ? '' : ', asked again'),
        )->sort()->values()->all();
        self::assertSame(['ask-above, asked again', 'do-not-mend', 'go-ahead', 'go-ahead', 'waiting'], $states);
        self::assertSame(1, DB::table('jobs')->where('waits_for', 'owner')->count());
    }

    public function test_machines_were_bought_from_bid_to_sale_one_stopped_in_time_and_one_that_should_have_been(): void
    {
        $offers = app(OffersQuery::class)->all()->offers;
        $bought = array_filter($offers, static fn ($o): bool => $o->state === 'bought');
        self::assertCount(6, $bought);
        $made = $stopped = [];
        foreach ($bought as $line) {
            $page = app(OffersQuery::class)->one($line->id);
            $made[] = $page->sold->madeMinor;
            $stopped[] = str_contains($page->stands, 'Stopped') ? $line->boughtMinor : null;
            self::assertSame($line->boughtMinor, (int) DB::table('machines')->where('tag', $line->tag)->value('price_paid_minor'));
        }
        self::assertCount(1, array_filter($made, static fn (?int $m): bool => $m !== null && $m < 4000), 'one earned next to nothing');
        self::assertGreaterThanOrEqual(4, count(array_filter($made, static fn (?int $m): bool => $m !== null && $m >= 4000)));
        $paid = array_sum(array_filter($stopped));
        self::assertGreaterThan(0, $paid);
        self::assertSame($paid, (int) DB::table('pieces')->sum('cost_minor'), 'what was paid is spread over its parts');
    }

    public function test_claims_are_met_cold_and_of_parts_and_two_machines_are_not_fetched(): void
    {
        $claims = app(ClaimsQuery::class)->all();
        self::assertSame([2, 1], [count($claims->open), count($claims->closed)]);
        self::assertTrue($claims->open[0]->mend, $claims->open[0]->advice);
        self::assertSame('part', $claims->open[1]->claims);
        self::assertFalse($claims->open[1]->mend);
        $pickups = app(PickupsQuery::class)->all()->machines;
        self::assertCount(2, $pickups);
        self::assertGreaterThan(0, $pickups[0]->storageMinor);
        self::assertSame(0, $pickups[1]->storageMinor);
        self::assertNotNull($pickups[1]->letterDue);
    }
}
