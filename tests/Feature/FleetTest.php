<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Machines\Fitting;
use App\Machines\Machine;
use App\Shop\Role;
use App\Stock\Kits\Reservation;
use App\Stock\Orders\NoteSupply;
use App\Stock\Orders\Supplier;
use App\Stock\Parts\AddUsedPart;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Facades\DB;
use OddBench\Stock\SpareGrade;

/** The farm: lives of its parts, what will fail, service jobs made by one press, racks, and what does not hold. */
final class FleetTest extends FarmTestCase
{
    public function test_a_part_that_is_replaced_ends_the_one_the_machine_came_with(): void
    {
        $machine = $this->running(1200.0);
        $this->part(3, 'heat-break-fan', 'FAN-1');
        $job = $this->job($machine);
        $this->atFix($job, 'break-fan-failed');
        $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'FAN-1', 'quantity' => 1, 'position' => 'heat-break-fan'])->assertOk();

        $ended = DB::table('fittings')->where(['machine_id' => $machine->id, 'position' => 'heat-break-fan'])->orderBy('id')->get();
        self::assertEquals([[0.0, 1200.0, $job->id, null], [1200.0, null, null, 0.0]], $ended->map(static fn (object $f): array => [
            (float) $f->fitted_hours, $f->removed_hours === null ? null : (float) $f->removed_hours, $f->removed_job_id,
            $f->movement_id === null ? null : (float) $f->had_hours,
        ])->all());
        $position = fn (): array => (array) collect((array) $this->getJson("/api/v1/machines/{$machine->tag}")->json('positions'))
            ->firstWhere('position', 'heat-break-fan');
        self::assertSame([1, 1], [$position()['replacements'], count($position()['earlier'])]);

        $this->workOut();
        $life = $this->getJson('/api/v1/fleet/lives/heat-break-fan')->assertOk();
        self::assertSame([1, [['hours' => 1200, 'tag' => $machine->tag]]], [
            $life->json('of.failures'),
            array_map(static fn (array $p): array => ['hours' => $p['hours'], 'tag' => $p['tag']], (array) $life->json('failed')),
        ]);

        // put back, nothing has ended
        $used = DB::table('movements')->where('kind', 'used')->value('id');
        $this->send('DELETE', "/jobs/{$job->id}/parts/{$used}")->assertOk();
        self::assertSame(0, Fitting::query()->where('machine_id', $machine->id)->count());
        self::assertSame([0, []], [$position()['replacements'], $position()['earlier']]);
    }

    public function test_what_is_said_of_an_end_goes_before_what_the_job_says(): void
    {
        $this->part(5, 'heat-break-fan', 'FAN-1');
        foreach (['worked' => 0, 'failed' => 1] as $said => $failures) {
            $job = $this->job($this->running(900.0), hours: 900.0);
            $this->atFix($job, $said === 'worked' ? 'break-fan-failed' : 'tube-cooked');
            $this->send('POST', "/jobs/{$job->id}/parts", [
                'part' => 'FAN-1', 'quantity' => 1, 'position' => 'heat-break-fan', 'oldEnded' => $said,
            ])->assertOk();
            $this->workOut();
            self::assertSame($failures, $this->getJson('/api/v1/fleet/lives/heat-break-fan')->json('of.failures'), $said);
        }
    }

    public function test_a_machine_that_came_used_says_nothing_of_its_first_parts_and_a_used_spare_is_asked_for_its_hours(): void
    {
        $used = $this->machine();
        $this->read($used, 1500.0);
        $this->workOut();
        $life = $this->getJson('/api/v1/fleet/lives/heat-break-fan')->assertOk();
        self::assertStringContainsString('came with a used machine', $life->json('notCounted.0.why'));
        self::assertSame([$used->tag], $life->json('notCounted.0.tags'));
        self::assertGreaterThan(5, $this->getJson('/api/v1/fleet/risks')->json('unknownAge'));

        $spare = $this->app->make(AddUsedPart::class)->add($this->part(0, 'heat-break-fan', 'FAN-1'), SpareGrade::Tested);
        $this->app->make(MoveStock::class)->receive($spare, 1, 0, null, $this->lead);
        $job = $this->job($used, hours: 1500.5);
        $this->atFix($job, 'break-fan-failed');
        $fit = ['part' => 'FAN-1.T', 'quantity' => 1, 'position' => 'heat-break-fan'];
        $this->assertRefused($this->send('POST', "/jobs/{$job->id}/parts", ['hadHours' => -1] + $fit), 422, 'hadHours', 'at least 0');
        $this->send('POST', "/jobs/{$job->id}/parts", ['hadHours' => 700] + $fit)->assertOk();
        self::assertSame('700.0', Fitting::query()->whereNull('removed_at')->firstOrFail()->had_hours);
        $this->workOut();
        self::assertSame(700.0, (float) DB::table('position_risks')->where('position', 'heat-break-fan')->value('age_h'));
    }

    public function test_what_will_fail_is_gathered_into_visits_and_one_press_makes_the_jobs(): void
    {
        [$old, $young, $bench] = [$this->running(2600.0), $this->running(200.0), $this->running(2700.0)];
        $this->part(1, 'heat-break-fan', 'FAN-1');
        $this->job($bench, hours: 2700.0);
        $this->workOut();

        $risks = $this->getJson('/api/v1/fleet/risks?weeks=4')->assertOk();
        $visits = collect((array) $risks->json('visits'))->keyBy('tag');
        self::assertTrue($visits->has($old->tag));
        self::assertFalse($visits->has($young->tag), 'nothing on it is near its end');
        self::assertNotNull($visits[$bench->tag]['openJob']);
        $parts = collect((array) $visits[$old->tag]['parts'])->keyBy('position');
        self::assertTrue($parts->has('heat-break-fan'));
        self::assertFalse($parts->has('thermistor'), 'it fails by chance: not by the clock');
        self::assertSame(
            ['change-fans', 1, false],
            [$parts['heat-break-fan']['guide'], $parts['heat-break-fan']['free'], $parts['heat-break-fan']['planned']],
        );
        self::assertGreaterThan(0, $visits[$old->tag]['savesMinor']);
        self::assertStringContainsString('Change it at about', $parts['heat-break-fan']['because']);

        $made = $this->send('POST', '/fleet/service-jobs', ['visits' => [
            ['tag' => $old->tag, 'positions' => ['heat-break-fan', 'nozzle']], ['tag' => $bench->tag, 'positions' => ['liner']],
        ]])->assertOk();
        $job = $this->getJson('/api/v1/jobs/'.$made->json('jobs.0.job'))->assertOk();
        self::assertSame(['service', 'Change before it fails: Heat-break fan, Nozzle'], [$job->json('kind'), $job->json('complaint')]);
        self::assertSame($visits[$bench->tag]['openJob'], $made->json('jobs.1.job'), 'what lies open gets it into its job');
        self::assertSame(
            1,
            (int) Reservation::query()->where('job_id', $made->json('jobs.0.job'))->sum('quantity'),
            'the fan there is promised',
        );
        $this->assertRefused(
            $this->send('POST', '/fleet/service-jobs', ['visits' => [['tag' => $old->tag, 'positions' => ['nozzle']]]]),
            409,
            'visits.0.positions',
            'to change that already',
        );
        $fix = $this->getJson('/api/v1/jobs/'.$made->json('jobs.0.job').'/fix')->assertOk();
        self::assertSame([['heat-break-fan', 'change-fans', false], ['nozzle', 'change-nozzle-hot', false]], array_map(
            static fn (array $c): array => [$c['position'], $c['guide'], $c['done']],
            (array) $fix->json('changes'),
        ));
        self::assertNotNull(collect((array) $fix->json('guides'))->firstWhere('code', 'change-fans')['for'] ?? null);
        $this->workOut();
        $again = collect((array) $this->getJson('/api/v1/fleet/risks?weeks=4')->json('visits'))->firstWhere('tag', $old->tag);
        self::assertTrue(collect((array) $again['parts'])->firstWhere('position', 'heat-break-fan')['planned']);
    }

    public function test_all_service_jobs_are_made_or_none(): void
    {
        $machine = $this->running(2600.0);
        $this->assertRefused($this->send('POST', '/fleet/service-jobs', ['visits' => [
            ['tag' => $machine->tag, 'positions' => ['nozzle']], ['tag' => $this->running(10.0)->tag, 'positions' => ['nozle']],
        ]]), 422, 'visits.1.positions.0', 'Did you mean');
        self::assertSame(0, DB::table('jobs')->count());
        $this->assertRefused($this->send('POST', '/fleet/service-jobs', ['visits' => []]), 422, 'visits', 'at least one machine');
        $this->actingAs($this->person(Role::Counter));
        $this->send('POST', '/fleet/service-jobs', ['visits' => [['tag' => $machine->tag, 'positions' => ['nozzle']]]])->assertStatus(403);
    }

    public function test_what_is_foretold_follows_a_change_at_once_and_money_is_shown_to_those_who_see_it(): void
    {
        $machine = $this->running(2600.0);
        $this->part(1, 'heat-break-fan', 'FAN-1');
        $this->workOut();
        $age = static fn (): float => (float) DB::table('position_risks')
            ->where(['machine_id' => $machine->id, 'position' => 'heat-break-fan'])
            ->value('age_h');
        self::assertEqualsWithDelta(2600.0, $age(), 1.0);
        $job = $this->job($machine, hours: 2600.0);
        $this->atFix($job, 'break-fan-failed');
        $this->send('POST', "/jobs/{$job->id}/parts", ['part' => 'FAN-1', 'quantity' => 1, 'position' => 'heat-break-fan'])->assertOk();
        self::assertEqualsWithDelta(0.0, $age(), 1.0);
        self::assertFalse((bool) DB::table('machine_risks')->where('machine_id', $machine->id)->value('stale'));

        $this->actingAs($this->person());
        $risks = $this->getJson('/api/v1/fleet/risks?weeks=8')->assertOk();
        self::assertNull($risks->json('savesMinor'));
        self::assertNull($risks->json('visits.0.parts.0.failureMinor'));
        self::assertNull($this->getJson('/api/v1/fleet/lives/nozzle')->assertOk()->json('plannedMinor'));
    }

    public function test_the_forecast_stands_in_the_order_list_in_place_of_what_the_farm_used(): void
    {
        $part = $this->part(1, 'heat-break-fan', 'FAN-1');
        $supplier = Supplier::query()->create(['name' => 'Marram Motion', 'lead_days' => 21]);
        $this->app->make(NoteSupply::class)->note($part, $supplier, 'M77', 1, 400);
        $before = $this->getJson('/api/v1/parts/FAN-1')->assertOk();
        self::assertSame([null, null], [$before->json('supply.foretold'), $before->json('supply.inUse')]);
        for ($i = 0; $i < 6; $i++) {
            $this->running(2300.0 + 50 * $i);
        }
        $this->workOut();
        $supply = $this->getJson('/api/v1/parts/FAN-1')->assertOk()->json('supply');

        self::assertSame(6, $supply['inUse']);
        self::assertGreaterThan(0.1, $supply['foretold']);
        self::assertGreaterThan(0, $supply['orderPacks']);
        self::assertStringContainsString('of 6 in use are expected to fail by then', $supply['because']);
        self::assertSame(now()->addDays(21)->toDateString(), $supply['hereOn']);
    }

    public function test_racks_are_drawn_and_two_machines_never_stand_in_one_place(): void
    {
        [$one, $two] = [$this->running(100.0), $this->running(200.0)];
        $this->workOut();
        $rack = $this->send('POST', '/fleet/racks', ['name' => 'Row A', 'shelves' => 2, 'places' => 4])->assertOk()->json('id');
        $this->assertRefused(
            $this->send('POST', '/fleet/racks', ['name' => 'row a', 'shelves' => 1, 'places' => 1]),
            409,
            'name',
            'already',
        );
        $this->assertRefused(
            $this->send('POST', '/fleet/racks', ['name' => 'B', 'shelves' => 0, 'places' => 1]),
            422,
            'shelves',
            '1 to 12',
        );
        $stand = fn (Machine $m, int $shelf, int $place, bool $swap = false) => $this->send('POST', '/fleet/standing', [
            'tag' => $m->tag, 'rack' => $rack, 'shelf' => $shelf, 'place' => $place, 'swap' => $swap,
        ]);
        $stand($one, 1, 1)->assertOk();
        $this->assertRefused($stand($two, 1, 1), 409, 'place', "{$one->tag} stands there");
        $this->assertRefused($stand($two, 3, 1), 422, 'place', 'no place 1 on shelf 3');
        $stand($two, 2, 4)->assertOk();
        $stand($two, 1, 1, true)->assertOk();
        $where = fn (): array => collect((array) $this->getJson('/api/v1/fleet/farm')->assertOk()->json('machines'))
            ->mapWithKeys(static fn (array $m): array => [$m['tag'] => [$m['shelf'], $m['spot']]])->all();
        self::assertSame([[2, 4], [1, 1]], [$where()[$one->tag], $where()[$two->tag]]);
        $this->assertRefused(
            $this->send('PUT', "/fleet/racks/{$rack}", ['name' => 'Row A', 'shelves' => 1, 'places' => 4, 'version' => 1]),
            409,
            'shelves',
            $one->tag,
        );
        $this->send('PUT', "/fleet/racks/{$rack}", ['name' => 'Row A, window', 'shelves' => 2, 'places' => 6, 'version' => 1])->assertOk();
        $this->send('PUT', "/fleet/racks/{$rack}", ['name' => 'Row A', 'shelves' => 2, 'places' => 6, 'version' => 1])->assertStatus(409);
        $this->send('POST', '/fleet/standing', ['tag' => $one->tag, 'rack' => null])->assertOk();
        self::assertSame([null, null], $where()[$one->tag]);
        self::assertStringContainsString(
            $two->tag.',tern-220,service,"Row A, window",1,1,200',
            (string) $this->get('/files/farm.csv')->assertOk()->getContent(),
        );
        $this->send('DELETE', "/fleet/racks/{$rack}")->assertOk();
        self::assertSame([], $this->getJson('/api/v1/fleet/farm')->json('racks'));
    }

    public function test_the_farm_shows_the_bench_red_tags_and_what_is_likely_to_fail(): void
    {
        $worn = $this->running(5200.0);
        $bench = $this->running(300.0);
        $this->machine('tern-220', 'owner');
        $job = $this->job($bench, hours: 300.0);
        $this->send('POST', "/jobs/{$job->id}/red-tag", ['reason' => 'plug brown'])->assertOk();
        $this->workOut();
        $farm = $this->getJson('/api/v1/fleet/farm?weeks=8')->assertOk();
        $of = collect((array) $farm->json('machines'))->keyBy('tag');

        self::assertEqualsCanonicalizing([$worn->tag, $bench->tag], $of->keys()->all(), 'owners’ machines are not of the farm');
        self::assertSame(
            ['plug brown', $job->id, 'Make safe'],
            [$of[$bench->tag]['redTag'], $of[$bench->tag]['openJob'], $of[$bench->tag]['station']],
        );
        self::assertGreaterThan(0.15, $of[$worn->tag]['risk']);
        self::assertNotNull($of[$worn->tag]['worst']);
        self::assertSame('bedslinger', $farm->json('families.0.motion'));
        $this->assertRefused($this->getJson('/api/v1/fleet/farm?weeks=3'), 422, 'weeks', '');
    }

    public function test_screens_of_the_farm_ask_as_few_questions_of_many_machines_as_of_few(): void
    {
        // the hours of machines are read anew each second
        $this->freezeTime();
        $count = function (): array {
            $counts = [];
            foreach (['farm', 'risks?weeks=8', 'hold', 'lives', 'lives/heat-break-fan'] as $path) {
                $this->getJson("/api/v1/fleet/{$path}")->assertOk(); // what is worked out once is kept
                DB::enableQueryLog();
                DB::flushQueryLog();
                $this->getJson("/api/v1/fleet/{$path}")->assertOk();
                $counts[$path] = count(DB::getQueryLog());
                DB::disableQueryLog();
            }

            return $counts;
        };
        $this->part(2, 'heat-break-fan', 'FAN-1');
        $fill = function (int $many): void {
            for ($i = 0; $i < $many; $i++) {
                $this->running(2500.0 + 20 * $i);
            }
            $this->workOut();
        };
        $fill(2);
        $few = $count();
        $fill(9);

        self::assertSame($few, $count());
        self::assertLessThan(22, max($few), (string) json_encode($few));
    }

    public function test_comebacks_are_told_by_fault_and_by_person_and_everybody_sees_only_their_own(): void
    {
        $bo = $this->person();
        foreach ([0, 1] as $i) {
            $this->actingAs($bo);
            $machine = $this->running(500.0);
            $job = $this->job($machine, $bo, 500.0);
            $this->atProve($job, 'break-fan-failed');
            $this->proveAll($job);
            $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'release', 'version' => $job->refresh()->version])->assertOk();
            $this->send('POST', "/jobs/{$job->id}/release", [
                'to' => 'service', 'version' => $job->refresh()->version, 'warrantyDays' => 90, 'warrantyHours' => 500,
            ])->assertOk();
            if ($i === 0) {
                $again = $this->job($machine->refresh(), $bo, 500.5);
                $this->atFix($again, 'break-fan-failed');
            }
        }
        $own = $this->getJson('/api/v1/fleet/hold')->assertOk();
        self::assertSame(
            [[$bo->name, 2, 1]],
            array_map(static fn (array $p): array => [$p['name'], $p['jobs'], $p['cameBack']], (array) $own->json('people')),
        );
        self::assertSame([['Heat-break fan failed', 2, 1]], array_map(
            static fn (array $p): array => [$p['name'], $p['jobs'], $p['cameBack']],
            (array) $own->json('faults'),
        ));
        $this->actingAs($this->person());
        self::assertSame([], $this->getJson('/api/v1/fleet/hold')->json('people'));
    }

    public function test_a_life_of_nothing_known_says_so(): void
    {
        $this->workOut();
        $this->assertRefused($this->getJson('/api/v1/fleet/lives/no-such'), 422, 'class', 'no class of part');
        $this->assertRefused($this->getJson('/api/v1/fleet/lives/heat-break-fan'), 404, 'class', 'Nothing is known');
        self::assertSame([], $this->getJson('/api/v1/fleet/lives')->assertOk()->json('lives'));
        self::assertSame([], $this->getJson('/api/v1/fleet/risks')->assertOk()->json('visits'));
        self::assertSame([0, []], array_map($this->getJson('/api/v1/fleet/hold')->assertOk()->json(...), ['judged', 'machines']));
    }
}
