<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Intake\WorkSpell;
use App\Machines\Machine;
use App\Money\Buying\Offer;
use App\Money\Worth\Piece;
use App\Shop\Role;
use App\Shop\Setting;
use App\Stock\Shelf\Movement;
use Illuminate\Testing\TestResponse;

/** A broken machine on offer: what to pay at most, tested in stages, stopped in time, split, sold. */
final class BuyingTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person(Role::Lead));
    }

    public function test_the_sheet_says_the_most_to_pay_and_when_to_stop(): void
    {
        $offer = $this->offer()->assertOk();
        self::assertSame(12345, $offer->json('mostMinor'));
        self::assertSame([8545, 12495, 7200], array_column((array) $offer->json('stages'), 'stopAboveMinor'));
        self::assertSame([16346, 18495, 23700], array_column((array) $offer->json('stages'), 'worthMinor'));
        self::assertSame([-3655 + 1, 0.612], [$offer->json('earnsAskedMinor'), $offer->json('winsAsked')]);
        self::assertSame('76.55 too dear.', $offer->json('stands'));
        self::assertSame(
            ['mended, all of it' => 0.612, 'split' => 0.235, 'single-material' => 0.153],
            array_column((array) $offer->json('ends'), 'probability', 'end'),
        );
        $line = $this->getJson('/api/v1/money/offers')->assertOk()->json('offers.0');
        self::assertSame([12345, 'open'], [$line['mostMinor'], $line['state']]);
    }

    public function test_what_the_seller_says_makes_faults_likely_and_proposes_tests(): void
    {
        $look = fn (array $findings): array => (array) $this->send('POST', '/money/offers/look', [
            'family' => 'heron-cx', 'findings' => $findings, 'sells' => '300', 'single' => '210',
        ])->assertOk()->json();
        $told = $look(['jams-when-warm']);
        self::assertGreaterThan(0, count($told['likely']));
        self::assertCount(3, $told['stages']);
        self::assertSame([21000, 'single-material'], [$told['stages'][2]['fallbackMinor'], $told['stages'][2]['end']]);
        self::assertGreaterThan($told['mostMinor'], $look([])['mostMinor'], 'a complaint lowers what is paid');
        $this->send('POST', '/money/offers/look', ['family' => 'wren-mini', 'findings' => []])->assertOk()
            ->assertJsonPath('feeder', false)->assertJsonCount(2, 'stages')->assertJsonPath('sellsMinor', null);
    }

    public function test_a_price_that_is_none_and_a_sale_below_the_parts_are_asked_about(): void
    {
        $this->assertRefused($this->offer(['asked' => '1,2,3']), 422, 'asked', 'more than one sign');
        $this->assertRefused($this->offer(['asked' => '200 USD']), 422, 'asked', 'counts in EUR');
        $this->assertRefused($this->offer(['sells' => '80']), 409, 'belowParts', 'less than its parts');
        self::assertSame(0, Offer::query()->count());
        $this->offer(['sells' => '80', 'belowParts' => true])->assertOk();
        $this->assertRefused($this->offer(['findings' => ['jams-wen-warm']]), 422, 'findings.0', 'Did you mean');
        $this->assertRefused(
            $this->offer(['stages' => [['name' => 'x', 'cost' => '1', 'passesPct' => 101, 'fallback' => '1', 'end' => 'split']]]),
            422,
            'stages.0.passesPct',
            '0 to 100',
        );
    }

    public function test_bought_the_sheet_is_its_purchase_and_over_the_most_is_asked_about(): void
    {
        $offer = $this->offer()->json();
        $this->assertRefused($this->buy($offer, '200'), 409, 'overMost', 'The most to pay is 123.45');
        self::assertSame(0, Machine::query()->count());
        $bought = $this->buy($offer, '120')->assertOk();
        $machine = Machine::query()->firstOrFail();
        self::assertSame(['resale', 12000], [$machine->held_as, $machine->price_paid_minor]);
        self::assertSame($machine->tag, $bought->json('tag'));
        self::assertSame('Turns on. Screen hangs loose.', Job::query()->findOrFail($bought->json('job'))->complaint);
        $this->assertRefused($this->buy($offer, '120'), 409, 'offer', 'is bought');
        $this->assertRefused(
            $this->send('POST', "/money/offers/{$offer['id']}/let-go", ['because' => 'No', 'version' => 2]),
            409,
            'offer',
            'is bought',
        );
        $this->assertRefused(
            $this->send('PUT', "/money/offers/{$offer['id']}", [...$this->sheet(), 'version' => 2]),
            409,
            'offer',
            'is bought',
        );
    }

    public function test_a_stale_sheet_is_told_and_a_let_go_one_keeps_its_reason(): void
    {
        $offer = $this->offer()->json();
        $this->send(
            'PUT',
            "/money/offers/{$offer['id']}",
            [...$this->sheet(), 'asked' => '150', 'version' => 1],
        )->assertOk()->assertJsonPath('askedMinor', 15000);
        $this->send('PUT', "/money/offers/{$offer['id']}", [...$this->sheet(), 'version' => 1])->assertStatus(409);
        $this->send('POST', "/money/offers/{$offer['id']}/let-go", ['because' => 'Would not come down', 'version' => 2])->assertOk()
            ->assertJsonPath('stands', 'Let go: Would not come down');
    }

    public function test_each_test_is_noted_in_order_and_stop_is_said_when_more_is_needed_than_it_adds(): void
    {
        $offer = $this->offer()->json();
        $bought = $this->buy($offer, '120')->json();
        self::assertFalse($bought['stopNow']);
        $note = fn (int $place, string $outcome, string $real): TestResponse => $this->send(
            'POST',
            "/money/offers/{$offer['id']}/stages/{$place}",
            ['outcome' => $outcome, 'real' => $real],
        );
        $this->assertRefused($note(2, 'passed', '10'), 409, 'stage', 'comes first');
        $this->assertRefused($note(1, 'passed', '1,2,3'), 422, 'real', 'more than one sign');
        $note(1, 'passed', '15,00')->assertOk()->assertJsonPath('stages.0.realMinor', 1500);
        $this->assertRefused($note(1, 'failed', '10'), 409, 'stage', 'noted already');
        // what is still needed by its job is more than the second test is worth: 124.95
        $job = Job::query()->findOrFail($bought['job']);
        $this->safe($job);
        Setting::put('bench_minute_minor', 900);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'diagnosis', 'version' => $job->refresh()->version])->assertOk();
        $this->send('POST', "/jobs/{$job->id}/findings", ['findings' => ['jams-when-warm' => true]])->assertOk();
        $page = $this->getJson("/api/v1/money/offers/{$offer['id']}")->assertOk();
        self::assertTrue($page->json('stopNow'));
        self::assertStringContainsString('Stop now', (string) $page->json('stands'));
        $note(2, 'failed', '30')->assertOk()->assertJsonPath('stands', 'Failed at “Prints from its own storage”: split.');
    }

    public function test_a_write_off_spreads_what_was_paid_over_what_is_in_it_to_the_cent(): void
    {
        $this->part(0, 'heat-break-fan', 'FAN-1');
        $offer = $this->offer()->json();
        $job = Job::query()->with('machine')->findOrFail($this->buy($offer, '120')->json('job'));
        $this->demand(['heat-break-fan' => 4, 'hotend-module' => 2, 'power-supply' => 3]);
        $worth = $this->getJson("/api/v1/jobs/{$job->id}/money")->assertOk()->json('worth');
        self::assertGreaterThan(0, $worth['donorMinor']);
        self::assertSame(30000, $worth['sellsMinor']);
        $this->send('POST', "/jobs/{$job->id}/split", ['note' => 'Frame bent', 'version' => $job->refresh()->version])->assertOk();
        self::assertSame('donor', $job->machine->refresh()->place);
        self::assertSame(12000, (int) Piece::query()->sum('cost_minor'));
        $fan = Piece::query()->where('position', 'heat-break-fan')->firstOrFail();
        $position = collect((array) $this->getJson('/api/v1/donors')->json('donors.0.positions'))->firstWhere('code', 'heat-break-fan');
        self::assertSame($fan->cost_minor, $position['costMinor']);
        $this->send(
            'POST',
            "/donors/{$job->machine->tag}/parts",
            ['position' => 'heat-break-fan', 'part' => 'FAN-1', 'grade' => 'tested', 'note' => 'Spins at 24 V'],
        )->assertOk();
        $movement = Movement::query()->where('kind', 'salvaged')->firstOrFail();
        self::assertSame($fan->cost_minor, $movement->value_minor);
        self::assertSame($movement->id, $fan->refresh()->movement_id);
    }

    public function test_a_write_off_on_a_shared_tablet_takes_the_signers_pin(): void
    {
        $offer = $this->offer()->json();
        $job = Job::query()->findOrFail($this->buy($offer, '120')->json('job'));
        $lead = $this->person(Role::Lead);
        $this->send('POST', '/session', ['login' => $lead->login, 'password' => 'a-long-secret', 'shared' => true])->assertOk();
        $this->assertRefused($this->send('POST', "/jobs/{$job->id}/split", ['version' => $job->version]), 422, 'pin', 'PIN');
        self::assertNull($job->refresh()->finished_at);
    }

    public function test_by_the_other_school_what_was_sold_pays_first(): void
    {
        Setting::put('residual_school', true);
        $offer = $this->offer()->json();
        $job = Job::query()->with('machine')->findOrFail($this->buy($offer, '120')->json('job'));
        $this->demand(['heat-break-fan' => 4, 'power-supply' => 3]);
        $this->send('POST', "/jobs/{$job->id}/split", [
            'version' => $job->refresh()->version, 'sold' => [['name' => 'Its feeder', 'sum' => '100']],
        ])->assertOk();
        self::assertSame(10000, Piece::query()->whereNotNull('sold_minor')->firstOrFail()->cost_minor);
        self::assertSame(2000, (int) Piece::query()->whereNull('sold_minor')->sum('cost_minor'));
    }

    public function test_sold_it_says_what_it_made_for_an_hour_of_hands(): void
    {
        $offer = $this->offer(['freight' => '10', 'selling' => '5'])->json();
        $job = Job::query()->findOrFail($this->buy($offer, '100')->json('job'));
        WorkSpell::query()->create([
            'job_id' => $job->id, 'person_id' => $this->person()->id, 'station' => 'repair',
            'began_at' => now()->subMinutes(90), 'last_seen_at' => now(), 'ended_at' => now(),
        ]);
        $sell = fn (string $price, array $more = []): TestResponse => $this->send(
            'POST',
            "/money/sales/{$job->machine->tag}",
            ['price' => $price, ...$more],
        );
        $this->assertRefused($sell('265'), 409, 'price', 'not for sale');
        $job->update(['finished_at' => now()]);
        $job->machine->update(['place' => 'sale']);
        $this->getJson("/api/v1/money/offers/{$offer['id']}")->assertJsonPath('maySell', true)->assertJsonPath('sold.priceMinor', null);
        $this->assertRefused($sell('265 USD'), 422, 'price', 'counts in EUR');
        $this->demand(['heat-break-fan' => 4, 'power-supply' => 3]);
        $this->assertRefused($sell('0,50'), 409, 'belowParts', 'Its parts alone bring');
        $sell('265')->assertOk()->assertJsonPath('priceMinor', 26500);
        $this->assertRefused($sell('265'), 409, 'price', 'sold already');
        // 265 − 100 − 10 − 5 in an hour and a half
        $sold = $this->getJson("/api/v1/money/offers/{$offer['id']}")->assertOk()->json('sold');
        self::assertSame([26500, 15000, 10000], [$sold['priceMinor'], $sold['madeMinor'], $sold['perHourMinor']]);
        $ledger = $this->getJson('/api/v1/money/ledger')->assertOk();
        self::assertSame([10000, 26500], [$ledger->json('boughtMinor'), $ledger->json('soldMinor')]);
        self::assertSame(10000, $ledger->json('resale.0.perHourMinor'));
    }

    /** @param  array<string, int>  $classes  class => how often it was used this year */
    private function demand(array $classes): void
    {
        $job = $this->job();
        foreach ($classes as $class => $times) {
            $part = \App\Stock\Parts\Part::query()->where('class', $class)->first() ?? $this->part(
                0,
                $class,
                strtoupper(substr($class, 0, 6)).'-9',
            );
            $this->app->make(\App\Stock\Shelf\MoveStock::class)->receive($part, $times, 2500, null, $this->person());
            for ($i = 0; $i < $times; $i++) {
                $this->app->make(\App\Stock\Shelf\MoveStock::class)->take($part, 1, $job->load('machine'), null, $this->person());
            }
        }
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function offer(array $more = []): TestResponse
    {
        return $this->send('POST', '/money/offers', [...$this->sheet(), ...$more]);
    }

    /** @return array<string, mixed> */
    private function sheet(): array
    {
        return [
            'family' => 'heron-cx', 'seller' => 'Osk Venn', 'says' => 'Turns on. Screen hangs loose.', 'findings' => [],
            'asked' => '200', 'sells' => '300,00', 'single' => '210', 'parts' => '90', 'margin' => '40',
            'stages' => [
                ['name' => 'Moves by hand and homes', 'cost' => '12', 'passesPct' => 90, 'fallback' => '90', 'end' => 'split'],
                ['name' => 'Prints from its own storage', 'cost' => '30', 'passesPct' => 85, 'fallback' => '90', 'end' => 'split'],
                [
                    'name' => 'The same through every slot',
                    'cost' => '45',
                    'passesPct' => 80,
                    'fallback' => '210',
                    'end' => 'single-material',
                ],
            ],
        ];
    }

    /**
     * @param  array<string, mixed>  $offer
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function buy(array $offer, string $paid): TestResponse
    {
        return $this->send('POST', "/money/offers/{$offer['id']}/purchase", ['paid' => $paid, 'version' => $offer['version']]);
    }
}
