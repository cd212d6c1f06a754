<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Fleet\Farm\KeepRacks;
use App\Fleet\Farm\Rack;
use App\Machines\Machine;
use App\Shop\Role;
use Illuminate\Support\Facades\DB;

/** Racks as they stand in the room, what stands in them, and the farm as a table. */
final class RacksTest extends FarmTestCase
{
    public function test_two_machines_change_places_and_one_from_nowhere_takes_the_place_of_another(): void
    {
        [$one, $two, $three] = [$this->machine(), $this->machine(), $this->machine()];
        $rack = $this->rack();
        $this->stand($one, $rack, 1, 1);
        $this->stand($two, $rack, 2, 3);
        $this->stand($one, $rack, 2, 3, swap: true);
        self::assertSame([[2, 3], [1, 1], null], [$this->where($one), $this->where($two), $this->where($three)]);

        $this->stand($three, $rack, 2, 3, swap: true);
        self::assertSame([null, [1, 1], [2, 3]], [$this->where($one), $this->where($two), $this->where($three)]);
        $this->stand($three, $rack, 2, 3);
        self::assertSame([2, 3], $this->where($three), 'where it stands it may be put again');
    }

    public function test_a_machine_that_is_gone_leaves_its_place(): void
    {
        [$old, $new] = [$this->machine(), $this->machine()];
        $rack = $this->rack();
        $this->stand($old, $rack, 1, 1);
        $old->update(['place' => 'scrap']);

        self::assertNull($this->where($old));
        $this->stand($new, $rack, 1, 1);
        self::assertSame([1, 1], $this->where($new));
        $new->update(['place' => 'bench']);
        self::assertSame([1, 1], $this->where($new), 'what lies on the bench comes back to it');
    }

    public function test_what_cannot_be_is_refused_at_its_field_and_nothing_moves(): void
    {
        $machine = $this->machine();
        $rack = $this->rack();
        $this->stand($machine, $rack, 1, 1);
        $put = fn (array $with) => $this->send('POST', '/fleet/standing', $with + [
            'tag' => $machine->tag, 'rack' => $rack->id, 'shelf' => 1, 'place' => 2,
        ]);
        $this->assertRefused($put(['place' => 5]), 422, 'place', 'no place 5 on shelf 1');
        $this->assertRefused($put(['shelf' => 13]), 422, 'shelf', '');
        $this->assertRefused($put(['shelf' => null]), 422, 'shelf', '');
        $this->assertRefused($put(['tag' => 'NO-000-X']), 422, 'tag', 'NO-000-X');
        $put(['rack' => $rack->id + 1])->assertStatus(404);
        self::assertSame([1, 1], $this->where($machine));
        foreach ([['name' => ''], ['shelves' => 13], ['places' => 41], ['places' => 0], ['shelves' => 1.5]] as $wrong) {
            $this->send('POST', '/fleet/racks', $wrong + ['name' => 'Row B', 'shelves' => 1, 'places' => 1])->assertStatus(422);
        }
        $this->assertRefused(
            $this->send('PUT', "/fleet/racks/{$rack->id}", ['name' => 'Row A', 'shelves' => 1, 'places' => 1]),
            422,
            'version',
            '',
        );
        self::assertSame(['Row A'], Rack::query()->pluck('name')->all());
    }

    public function test_a_farm_is_drawn_with_sixty_racks_at_most(): void
    {
        for ($i = 1; $i <= 60; $i++) {
            $this->rack("Rack {$i}");
        }

        $this->assertRefused(
            $this->send('POST', '/fleet/racks', ['name' => 'one more', 'shelves' => 1, 'places' => 1]),
            409,
            'name',
            '60 racks',
        );
    }

    public function test_who_only_looks_and_who_mends_draw_no_racks(): void
    {
        $machine = $this->machine();
        $rack = $this->rack();
        $this->actingAs($this->person(Role::ReadOnly));
        $this->getJson('/api/v1/fleet/farm')->assertOk();
        $this->send('POST', '/fleet/racks', ['name' => 'Row B', 'shelves' => 1, 'places' => 1])->assertStatus(403);
        $this->send('DELETE', "/fleet/racks/{$rack->id}")->assertStatus(403);
        $this->send(
            'POST',
            '/fleet/standing',
            ['tag' => $machine->tag, 'rack' => $rack->id, 'shelf' => 1, 'place' => 1],
        )->assertStatus(403);
        self::assertSame([1, 0], [Rack::query()->count(), DB::table('rack_places')->count()]);
    }

    public function test_the_farm_is_narrowed_by_family_and_rack_and_comes_as_a_table_that_runs_nothing(): void
    {
        [$tern, $heron] = [$this->running(200.0), $this->running(300.0, 'heron-cx')];
        $rack = $this->rack('=Row A');
        $this->stand($heron, $rack, 1, 1);
        $this->workOut();
        $tags = fn (string $query): array => array_column(
            (array) $this->getJson("/api/v1/fleet/farm{$query}")->assertOk()->json('machines'),
            'tag',
        );

        self::assertEqualsCanonicalizing([$tern->tag, $heron->tag], $tags(''));
        self::assertSame([$tern->tag], $tags('?family=tern-220'));
        self::assertSame([$heron->tag], $tags("?rack={$rack->id}"));
        self::assertSame([], $tags('?heldAs=resale'));
        $this->assertRefused($this->getJson('/api/v1/fleet/farm?heldAs=mine'), 422, 'heldAs', '');
        $csv = (string) $this->get("/files/farm.csv?rack={$rack->id}&weeks=8")->assertOk()->getContent();
        self::assertStringContainsString('risk in 8 weeks', $csv);
        self::assertStringContainsString("{$heron->tag},heron-cx,service,\"'=Row A\",1,1,300", $csv, 'a name is no formula');
        self::assertStringNotContainsString($tern->tag, $csv);
    }

    private function rack(string $name = 'Row A'): Rack
    {
        return $this->app->make(KeepRacks::class)->draw($name, 2, 4);
    }

    private function stand(Machine $machine, Rack $rack, int $shelf, int $place, bool $swap = false): void
    {
        $this->send('POST', '/fleet/standing', [
            'tag' => $machine->tag, 'rack' => $rack->id, 'shelf' => $shelf, 'place' => $place, 'swap' => $swap,
        ])->assertOk();
    }

    /** @return array{int, int}|null */
    private function where(Machine $machine): ?array
    {
        $there = DB::table('rack_places')->where('machine_id', $machine->id)->first();

        return $there === null ? null : [(int) $there->shelf, (int) $there->place];
    }
}
