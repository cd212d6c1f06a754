<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Stock\Orders\NoteSupply;
use App\Stock\Orders\StockFigures;
use App\Stock\Orders\Supplier;
use App\Stock\Parts\Part;
use Illuminate\Support\Facades\DB;

/** What is foretold enters the order list once, and follows what changes on the machines. */
final class ForetoldTest extends FarmTestCase
{
    public function test_what_the_farm_used_is_not_counted_where_it_is_foretold(): void
    {
        [$own, $owner] = [$this->running(2000.0), $this->machine('tern-220', 'owner')];
        $fan = $this->bought('FAN-1', 21);
        $this->read($owner, 0.0, 300);
        $this->changed($own, 'heat-break-fan', 1990.0, $fan);
        $this->changed($owner, 'heat-break-fan', 1990.0, $fan);
        DB::table('movements')->insert([
            'part_id' => $fan->id, 'kind' => 'used', 'quantity' => -3, 'value_minor' => 0, 'bin' => '',
            'person_id' => $this->lead->id, 'at' => now(),
        ]);
        $figures = new StockFigures([$fan->id]);

        self::assertSame(5, array_sum($figures->weeks(104)[$fan->id]), 'all that was used');
        self::assertSame(4, array_sum($figures->weeks(104, [$fan->id])[$fan->id]), 'what the owner’s machine got, and what went elsewhere');
        self::assertSame(5, array_sum($figures->weeks(104, [$fan->id + 1])[$fan->id]), 'of another part it is foretold');
    }

    public function test_a_used_one_s_demand_is_that_of_the_new_one(): void
    {
        $fan = $this->bought('FAN-1', 21);
        $old = $this->part(0, 'heat-break-fan', 'FAN-0');
        $old->update(['counts_with_id' => $fan->id]);
        $this->changed($this->running(2000.0), 'heat-break-fan', 1990.0, $old);

        self::assertSame(1, array_sum((new StockFigures([$fan->id]))->weeks(104)[$fan->id]));
        self::assertSame([], (new StockFigures([$fan->id]))->weeks(104, [$fan->id])[$fan->id] ?? [], 'it went into the farm');
    }

    public function test_the_sum_is_that_of_the_parts_until_an_order_would_be_here(): void
    {
        $this->bought('FAN-1', 14);
        for ($i = 0; $i < 5; $i++) {
            $this->running(1900.0 + 150 * $i);
        }
        $this->workOut();
        $risks = DB::table('position_risks')->where('part_class', 'heat-break-fan')->get();
        $class = DB::table('class_risks')->where('part_class', 'heat-break-fan')->first();
        self::assertNotNull($class);

        foreach ([1, 2, 4, 8] as $weeks) {
            $chances = $risks->pluck("risk_{$weeks}")->map(floatval(...));
            self::assertEqualsWithDelta($chances->sum(), $class->{"expected_{$weeks}"}, 1e-9);
            self::assertEqualsWithDelta($chances->sum(static fn (float $p): float => $p * (1 - $p)), $class->{"variance_{$weeks}"}, 1e-9);
        }
        $supply = $this->getJson('/api/v1/parts/FAN-1')->assertOk()->json('supply');
        self::assertSame(5, $supply['inUse']);
        // two weeks to come, and what passes until orders are looked through again
        self::assertGreaterThanOrEqual(round((float) $class->expected_2, 1), round((float) $supply['foretold'], 1));
        self::assertLessThanOrEqual($class->expected_8, $supply['foretold']);
    }

    public function test_what_changes_on_one_machine_is_summed_up_anew_for_its_family_alone(): void
    {
        $tern = $this->running(2500.0);
        $this->running(2500.0, 'heron-cx');
        $this->workOut();
        $of = static fn (string $family): float => (float) DB::table('class_risks')
            ->where(['family' => $family, 'part_class' => 'heat-break-fan'])
            ->value('expected_8');
        $terns = $of('tern-220');
        DB::table('class_risks')->where('family', 'heron-cx')->update(['expected_8' => 77.0]);
        $this->travel(20)->days();
        $this->actingAs($this->lead);
        $this->read($tern, 2900.0);

        self::assertGreaterThan($terns, $of('tern-220'), 'it has run since');
        self::assertSame(77.0, $of('heron-cx'));
        $tern->update(['place' => 'sale']);
        self::assertSame(0.0, $of('tern-220'), 'what does not run asks for nothing');
        $this->artisan('odd-bench:lives');
        self::assertNotSame(77.0, $of('heron-cx'), 'the night works out all of them');
    }

    public function test_new_machines_are_foretold_by_the_clock_and_the_night_is_worked_once(): void
    {
        $machine = $this->running(2500.0);
        self::assertSame(0, DB::table('machine_risks')->count());
        $this->artisan('odd-bench:lives', ['--changed' => true]);
        self::assertSame([$machine->id], DB::table('machine_risks')->pluck('machine_id')->all());

        $this->artisan('odd-bench:lives', ['--due' => true]);
        $worked = DB::table('life_fits')->max('at');
        self::assertNotNull($worked);
        $this->travel(5)->minutes();
        $this->artisan('odd-bench:lives', ['--due' => true]);
        self::assertSame($worked, DB::table('life_fits')->max('at'), 'not twice a day');
        $this->travel(2)->days();
        $this->artisan('odd-bench:lives', ['--due' => true]);
        self::assertNotSame($worked, DB::table('life_fits')->max('at'));
    }

    private function bought(string $number, int $days): Part
    {
        $part = $this->part(1, 'heat-break-fan', $number);
        $supplier = Supplier::query()->create(['name' => 'Marram Motion', 'lead_days' => $days]);
        $this->app->make(NoteSupply::class)->note($part, $supplier, 'M77', 1, 400);

        return $part;
    }
}
