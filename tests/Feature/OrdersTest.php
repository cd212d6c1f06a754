<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Shop\Person;
use App\Shop\Role;
use App\Stock\Orders\LeadTimes;
use App\Stock\Orders\Order;
use App\Stock\Orders\OrderLine;
use App\Stock\Orders\Supplier;
use App\Stock\Parts\Part;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** What to order, ordering it, and what comes. */
final class OrdersTest extends BenchTestCase
{
    private Person $sam;

    private Part $liner;

    protected function setUp(): void
    {
        parent::setUp();
        $this->sam = $this->person(Role::Counter);
        $this->actingAs($this->sam);
        $this->travel(-20)->weeks();
        $this->liner = $this->part(30);
        // one a week for twenty weeks
        $job = $this->job();
        for ($week = 0; $week < 20; $week++) {
            $this->app->make(MoveStock::class)->take($this->liner, 1, $job, 'liner', $this->sam);
            $this->travel(1)->weeks();
        }
        $this->travelBack();
        $this->supply()->assertOk();
    }

    public function test_a_part_that_lasts_is_not_proposed_and_one_that_does_not_is(): void
    {
        // ten on hand, one a week, two weeks: enough
        self::assertSame([], $this->getJson('/api/v1/orders')->assertOk()->json('proposals'));
        $this->app->make(MoveStock::class)->scrap($this->liner, 8, null, $this->sam);
        $line = $this->getJson('/api/v1/orders')->json('proposals.0.lines.0');

        self::assertSame(['LIN-1', 'M77', 2, 5], [$line['part'], $line['suppliersNumber'], $line['free'], $line['pack']]);
        // Poisson with mean near 2 at 0.98: R qpois(.98, 2) is 5
        self::assertSame(5, $line['reorderPoint']);
        self::assertGreaterThanOrEqual(1, $line['packs']);
        self::assertStringContainsString('2 are free, the reorder point is 5', $line['because']);
        $shelf = collect((array) $this->getJson('/api/v1/parts')->json('parts'))->firstWhere('number', 'LIN-1');
        self::assertTrue($shelf['toOrder']);
        self::assertEqualsWithDelta(2.0, $shelf['coverWeeks'], 0.15);
        $page = $this->getJson('/api/v1/parts/LIN-1');
        self::assertSame('Marram Motion', $page->json('supply.supplier'));
        self::assertSame(20, array_sum((array) $page->json('supply.history')));
    }

    public function test_an_order_comes_in_parts_and_teaches_how_long_they_take(): void
    {
        $order = $this->order(3);
        self::assertSame(15, $this->getJson('/api/v1/orders')->json('open.0.lines.0.open'));
        self::assertSame(15, $this->getJson('/api/v1/parts/LIN-1')->json('supply.onOrder'));
        $line = OrderLine::query()->firstOrFail();
        $this->travel(21)->days();
        self::assertTrue($this->getJson('/api/v1/orders')->json('open.0.late'));
        $this->receive($line, ['quantity' => 10])->assertOk();
        self::assertSame([20, 10], [$this->liner->refresh()->on_hand, $line->refresh()->received]);
        self::assertNull($order->refresh()->closed_at);

        $this->assertRefused($this->receive($line, ['quantity' => 6]), 409, 'more', '5 of Liner 4/2 mm were still to come');
        self::assertSame(20, $this->liner->refresh()->on_hand);
        $this->receive($line, ['quantity' => 6, 'moreIsRight' => true, 'packCostMinor' => 1600])->assertOk();
        self::assertSame(26, $this->liner->refresh()->on_hand);
        self::assertNotNull($order->refresh()->closed_at);
        $this->assertRefused($this->receive($line, ['quantity' => 1]), 409, 'order', 'closed');
        // the price that was paid is expected next time
        self::assertSame(1600, $this->getJson('/api/v1/parts/LIN-1')->json('supply.packCostMinor'));
        // says 14 three times, took 21 once: (3 · 14 + 21) / 4
        $lead = $this->app->make(LeadTimes::class)->all()[$order->supplier_id];
        self::assertEqualsWithDelta(15.75, $lead->meanDays, 0.01);
    }

    public function test_the_moving_average_of_a_worked_example(): void
    {
        // 10 left of 30 at 1.20 are worth 12.00; 5 at 3.40 make 15 worth 29.00; a third of them leaves with 9.67
        $this->order(1);
        $this->receive(OrderLine::query()->firstOrFail(), ['quantity' => 5, 'packCostMinor' => 1700])->assertOk();
        $part = $this->liner->refresh();
        self::assertSame([15, 2900], [$part->on_hand, $part->value_minor]);
        $this->app->make(MoveStock::class)->scrap($part, 5, null, $this->sam);
        self::assertSame(1933, $this->liner->refresh()->value_minor);
    }

    public function test_what_is_wrong_is_refused_at_its_field(): void
    {
        $supplier = Supplier::query()->firstOrFail();
        $send = fn (array $packs, ?int $to = null): TestResponse => $this->send(
            'POST',
            '/orders',
            ['supplier' => $to ?? $supplier->id, 'packs' => $packs],
        );
        $this->assertRefused($send(['LIN-1' => 0]), 422, 'packs', 'Nothing is ordered');
        $send(['LIN-1' => -2])->assertStatus(422);
        $send(['NONE' => 1])->assertNotFound();
        $send(['LIN-1' => 1], 9999)->assertNotFound();
        $this->part(1, 'belt', 'BEL-1');
        $this->assertRefused($send(['LIN-1' => 1, 'BEL-1' => 1]), 422, 'packs.BEL-1', 'not bought from');
        self::assertSame(0, Order::query()->count(), 'nothing is half done');
        $this->assertRefused($this->supply(['pack' => 0]), 422, 'pack', 'at least one');
        $this->actingAs($this->person(Role::ReadOnly));
        $send(['LIN-1' => 1])->assertForbidden();
        $this->supply()->assertForbidden();
    }

    public function test_the_rest_is_closed_in_words_and_no_longer_on_order(): void
    {
        $order = $this->order(2);
        $this->assertRefused($this->send('POST', "/orders/{$order->id}/close", ['because' => '']), 422, 'because', 'nothing more');
        $this->send('POST', "/orders/{$order->id}/close", ['because' => 'out of print'])
            ->assertOk()
            ->assertJsonPath('closed.0.closedBecause', 'out of print');
        self::assertSame(0, $this->getJson('/api/v1/parts/LIN-1')->json('supply.onOrder'));
    }

    public function test_the_table_for_the_supplier_has_no_formulas(): void
    {
        $this->liner->update(['name' => '=HYPERLINK("x")']);
        $order = $this->order(2);
        $csv = $this->get("/files/orders/{$order->id}.csv")->assertOk();

        self::assertStringStartsWith("\u{FEFF}\"your number\"", (string) $csv->getContent());
        self::assertStringContainsString("M77,LIN-1,\"'=HYPERLINK(\"\"x\"\")\",2,5,12.50", (string) $csv->getContent());
    }

    public function test_the_audit_agrees_and_finds_a_planted_error(): void
    {
        $this->order(1);
        self::assertSame(0, $this->audit());
        DB::table('parts')->where('id', $this->liner->id)->update(['on_hand' => 11]);
        self::assertSame(1, $this->audit());
        DB::table('parts')->where('id', $this->liner->id)->update(['on_hand' => 10]);
        DB::table('order_lines')->update(['received' => 3]);
        self::assertSame(1, $this->audit());
    }

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function supply(array $with = []): TestResponse
    {
        return $this->send(
            'PUT',
            '/parts/LIN-1/supply',
            $with + ['supplier' => 'Marram Motion', 'leadDays' => 14, 'number' => 'M77', 'pack' => 5, 'packCostMinor' => 1250],
        );
    }

    /** @phpstan-impure */
    private function audit(): int
    {
        return Artisan::call('odd-bench:audit');
    }

    public function test_less_than_the_supplier_sends_for_is_asked_and_not_refused(): void
    {
        $supplier = Supplier::query()->firstOrFail();
        $supplier->update(['minimum_minor' => 5000]);
        $body = ['supplier' => $supplier->id, 'packs' => ['LIN-1' => 2]];
        $this->assertRefused($this->send('POST', '/orders', $body), 409, 'minimum', 'sends for 50.00 or more');
        self::assertSame(0, Order::query()->count());
        $this->send('POST', '/orders', [...$body, 'lessIsRight' => true])->assertOk();
        self::assertSame(1, Order::query()->count());
        // changing where it is bought says nothing of the least order, so that stays
        $this->supply()->assertOk();
        self::assertSame(5000, $supplier->refresh()->minimum_minor);
    }

    public function test_it_goes_out_as_a_letter_and_a_table(): void
    {
        $order = $this->order(3);
        $pdf = $this->get("/files/orders/{$order->id}.pdf")->assertOk();
        self::assertSame('application/pdf', $pdf->headers->get('Content-Type'));
        self::assertStringStartsWith('%PDF-', (string) $pdf->getContent());
        $csv = (string) $this->get("/files/orders/{$order->id}.csv")->assertOk()->getContent();
        self::assertStringContainsString('M77,LIN-1,"Liner 4/2 mm",3,5,', $csv);
    }

    public function test_where_it_is_cheaper_it_is_ordered_when_somebody_says_so(): void
    {
        $this->send(
            'PUT',
            '/parts/LIN-1/supply',
            ['supplier' => 'Dockside Tools', 'leadDays' => 2, 'pack' => 1, 'packCostMinor' => 150],
        )->assertOk();
        $page = $this->getJson('/api/v1/parts/LIN-1');
        self::assertSame(
            [['Marram Motion', true], ['Dockside Tools', false]],
            array_map(static fn (array $o): array => [$o['supplier'], $o['preferred']], (array) $page->json('offers')),
        );
        $page = $this->send(
            'PUT',
            '/parts/LIN-1/supply',
            ['supplier' => 'Dockside Tools', 'leadDays' => 2, 'pack' => 1, 'packCostMinor' => 140, 'prefer' => true],
        )->assertOk();
        self::assertSame(
            ['Dockside Tools', 140, 150],
            [$page->json('supply.supplier'), $page->json('offers.0.packCostMinor'), $page->json('offers.0.wasMinor')],
        );
        $this->app->make(MoveStock::class)->scrap($this->liner->refresh(), 9, null, $this->sam);
        self::assertSame(
            ['Dockside Tools', 150],
            [
                $this->getJson('/api/v1/orders')->json('proposals.0.name'),
                $this->getJson('/api/v1/orders')->json('proposals.0.lines.0.wasMinor'),
            ],
        );
    }

    public function test_what_the_kits_of_open_jobs_need_is_ordered_and_who_waits_is_named(): void
    {
        $this->app->make(MoveStock::class)->count($this->liner->refresh(), 0, null, $this->sam);
        self::assertSame(0, $this->getJson('/api/v1/parts/LIN-1')->json('supply.planned'));
        $this->actingAs($this->person(Role::Technician));
        $job = $this->job();
        $this->atFix($job);
        $supply = $this->getJson('/api/v1/parts/LIN-1')->json('supply');
        self::assertSame([1, [$job->machine->tag], -1], [$supply['planned'], $supply['plannedFor'], $supply['free']]);
        self::assertContains($job->machine->tag, (array) $this->getJson('/api/v1/orders')->json('proposals.0.lines.0.waiting'));
        // once it has been taken, the job needs none any more
        $this->app->make(MoveStock::class)->receive($this->liner->refresh(), 1, 120, null, $this->sam);
        $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'LIN-1', 'quantity' => 1])->assertOk();
        self::assertSame(0, $this->getJson('/api/v1/parts/LIN-1')->json('supply.planned'));
    }

    public function test_the_last_spare_and_the_last_face_are_ordered_whatever_history_says(): void
    {
        $this->actingAs($this->person(Role::Lead));
        $rail = Part::query()->create(['number' => 'RAIL-1', 'name' => 'Rail profile', 'class' => 'rail', 'bin' => 'R1']);
        $this->send(
            'PUT',
            '/parts/RAIL-1/supply',
            ['supplier' => 'Marram Motion', 'leadDays' => 14, 'pack' => 1, 'packCostMinor' => 1600],
        )->assertOk();
        self::assertNull($this->proposed('RAIL-1'), 'nobody asks for it');
        $job = $this->job();
        $this->atFix($job, 'rail-scored');
        // it has two faces
        $this->send('POST', "/jobs/{$job->id}/positions/y-rail-left/turn", ['reason' => 'scored'])->assertOk();
        $line = $this->proposed('RAIL-1');
        self::assertStringContainsString("of {$job->machine->tag} runs since", $line['last'] ?? '');
        self::assertGreaterThanOrEqual(1, $line['packs'] ?? 0);
        // one comes and goes into the machine: the last spare is in use, and said so
        $this->travel(5)->minutes();
        $this->app->make(MoveStock::class)->receive($rail, 1, 1600, null, $this->sam);
        self::assertNull($this->proposed('RAIL-1'));
        $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'RAIL-1', 'quantity' => 1, 'position' => 'y-rail-left'])->assertOk();
        $line = $this->proposed('RAIL-1');
        self::assertStringContainsString('The last spare went into', $line['last'] ?? '');
    }

    /**
     * @return array{last: string, packs: int}|null
     *
     * @phpstan-impure
     */
    private function proposed(string $part): ?array
    {
        foreach ((array) $this->getJson('/api/v1/orders')->json('proposals.0.lines') as $line) {
            if (is_array($line) && $line['part'] === $part) {
                return ['last' => (string) $line['last'], 'packs' => (int) $line['packs']];
            }
        }

        return null;
    }

    private function order(int $packs): Order
    {
        $this->send('POST', '/orders', ['supplier' => Supplier::query()->firstOrFail()->id, 'packs' => ['LIN-1' => $packs]])->assertOk();

        return Order::query()->latest('id')->firstOrFail();
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function receive(OrderLine $line, array $body): TestResponse
    {
        return $this->send('POST', "/orders/{$line->order_id}/lines/{$line->id}/receipts", $body);
    }
}
