<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Fleet\Lives\LifeFit;
use App\Fleet\Lives\SeenAt;
use App\Fleet\Lives\SeenQuery;
use App\Stock\Parts\AddUsedPart;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\LifeEnd;
use OddBench\Fleet\WearLife;
use OddBench\Stock\SpareGrade;
use PHPUnit\Framework\Attributes\DataProvider;

/** Lives as they are read from what was fitted and taken out: what counts as a failure, from which hours, and of which group. */
final class LivesTest extends FarmTestCase
{
    /** @return iterable<string, array{string|null, array<string, mixed>, LifeEnd}> */
    public static function ends(): iterable
    {
        yield 'its fault was confirmed' => ['break-fan-failed', [], LifeEnd::Failed];
        yield 'another fault was' => ['tube-cooked', [], LifeEnd::Worked];
        yield 'changed in a service' => [null, [], LifeEnd::Worked];
        yield 'said to have failed in a service' => [null, ['ended_as' => 'failed'], LifeEnd::Failed];
        yield 'said to have worked though its fault was confirmed' => ['break-fan-failed', ['ended_as' => 'worked'], LifeEnd::Worked];
        yield 'kept as a spare' => ['break-fan-failed', ['became' => 'spare', 'grade' => 'tested'], LifeEnd::Worked];
    }

    /** @param  array<string, mixed>  $old */
    #[DataProvider('ends')]
    public function test_how_a_life_ended(?string $fault, array $old, LifeEnd $end): void
    {
        $machine = $this->running(2000.0);
        $this->changed($machine, 'heat-break-fan', 1500.0, fault: $fault, old: $old);
        [$first, $now] = $this->seen('heat-break-fan');

        self::assertSame([$end, null], [$first->seen->seated->end, $now->seen->seated->end]);
        self::assertSame([1500.0, 500.0], [$first->seen->age(), round((float) $now->seen->age())]);
        self::assertSame([false, true], [$first->sits, $now->sits]);
        $this->workOut();
        self::assertSame($end === LifeEnd::Failed ? 1 : 0, LifeFit::query()->where('part_class', 'heat-break-fan')->max('failures'));
    }

    public function test_a_fault_that_was_overturned_took_no_part(): void
    {
        $job = $this->changed($this->running(2000.0), 'heat-break-fan', 1500.0, fault: 'break-fan-failed');
        DB::table('diagnoses')->where('job_id', $job)->update(['superseded_at' => now()]);

        self::assertSame(LifeEnd::Worked, $this->seen('heat-break-fan')[0]->seen->seated->end);
    }

    public function test_one_that_went_for_another_kind_did_not_fail(): void
    {
        $machine = $this->running(2000.0);
        $this->changed($machine, 'heat-break-fan', 1500.0, fault: 'break-fan-failed');
        DB::table('fittings')->where('machine_id', $machine->id)->whereNotNull('replaces_id')->update(['upgrade' => true]);

        self::assertSame(LifeEnd::Worked, $this->seen('heat-break-fan')[0]->seen->seated->end);
    }

    public function test_several_lives_in_one_place_follow_each_other(): void
    {
        $machine = $this->running(3000.0);
        foreach ([700.0, 1600.0, 2900.0] as $at) {
            $this->changed($machine, 'heat-break-fan', $at, fault: 'break-fan-failed');
        }

        self::assertEqualsWithDelta(
            [700.0, 900.0, 1300.0, 100.0],
            array_map(static fn (SeenAt $at): float => (float) $at->seen->age(), $this->seen('heat-break-fan')),
            0.5,
        );
    }

    public function test_makes_families_and_circumstances_are_groups_of_their_own(): void
    {
        [$ball, $sleeve] = [$this->spare('FAN-B'), $this->spare('FAN-S')];
        foreach ([1000.0, 1100.0] as $i => $at) {
            $machine = $this->running(2400.0, $i === 0 ? 'tern-220' : 'heron-cx');
            $machine->update(['prints_abrasive' => $i === 1]);
            $this->changed($machine, 'heat-break-fan', $at, $i === 0 ? $ball : $sleeve, 'break-fan-failed');
        }
        $used = $this->app->make(AddUsedPart::class)->add($ball, SpareGrade::Tested);
        $third = $this->running(2000.0);
        $this->changed($third, 'heat-break-fan', 1500.0, $used);
        $this->workOut();
        $groups = LifeFit::query()->where(
            'part_class',
            'heat-break-fan',
        )->get()->keyBy(static fn (LifeFit $f): string => $f->group()->key());

        self::assertSame([2, 4], [$groups['heat-break-fan|||']->failures, $groups['heat-break-fan|||']->running]);
        self::assertSame(
            [0, 2],
            [$groups["heat-break-fan|{$ball->id}||"]->failures, $groups["heat-break-fan|{$ball->id}||"]->running],
            'a used one is of its make',
        );
        self::assertArrayNotHasKey("heat-break-fan|{$used->id}||", $groups->all());
        self::assertSame([1, 1], [$groups['heat-break-fan||heron-cx|']->failures, $groups['heat-break-fan|||abrasive']->failures]);
        self::assertSame(1, $groups['heat-break-fan|||plain']->failures);
        $shown = $this->getJson('/api/v1/fleet/lives/heat-break-fan')->assertOk();
        self::assertEqualsCanonicalizing(['FAN-B', 'FAN-S'], array_column((array) $shown->json('makes'), 'part'));
        self::assertSame(2, $shown->json('of.failures'));
        $of = $this->getJson('/api/v1/fleet/lives/heat-break-fan?family=heron-cx')->assertOk();
        self::assertSame([1, [1100]], [$of->json('of.failures'), array_column((array) $of->json('failed'), 'hours')]);
    }

    public function test_what_is_shown_of_a_life_is_what_the_core_reckons(): void
    {
        $failed = [900.0, 1300.0, 1700.0, 2100.0, 2300.0, 2600.0];
        foreach ($failed as $at) {
            $machine = $this->running($at + 200.0);
            $this->changed($machine, 'heat-break-fan', $at, fault: 'break-fan-failed');
        }
        $this->workOut();
        $judged = (new WearLife)->compute([
            'failed_h' => $failed, 'running_h' => array_fill(0, 6, 200.0), 'usual_life_h' => 2500, 'shape' => 2.5, 'method' => 'auto',
        ]);
        $shown = $this->getJson('/api/v1/fleet/lives/heat-break-fan?ahead=300')->assertOk();

        self::assertSame([6, 6, true], [$shown->json('of.failures'), $shown->json('of.running'), $shown->json('of.own')]);
        self::assertEqualsWithDelta($judged['mean_h'], $shown->json('of.meanHours'), 0.01 * $judged['mean_h']);
        self::assertEqualsWithDelta($judged['shape'], $shown->json('of.shape'), 0.02);
        // six that have run 200 h: each fails within 300 h with 1 − S(500)/S(200)
        $survives = static fn (float $h): float => exp(-($h / $judged['scale_h']) ** $judged['shape']);
        self::assertEqualsWithDelta(6 * (1 - $survives(500.0) / $survives(200.0)), $shown->json('expected'), 0.01);
        self::assertEqualsWithDelta(1.0, $shown->json('atLeast.0'), 1e-9);
        self::assertEqualsWithDelta(1 - ($survives(500.0) / $survives(200.0)) ** 6, $shown->json('atLeast.1'), 0.01);
        $first = $shown->json('curve.0');
        self::assertEqualsWithDelta([0.0, 100.0], [$first['hours'], $first['of100']], 1e-9);
        foreach ((array) $shown->json('curve') as $point) {
            self::assertLessThanOrEqual($point['high'] + 1e-6, $point['of100']);
            self::assertGreaterThanOrEqual($point['low'] - 1e-6, $point['of100']);
        }
        // it believed itself when the fifth had failed
        self::assertNotNull($shown->json('of.believedFrom'));
        self::assertSame($failed, array_map(floatval(...), array_column((array) $shown->json('failed'), 'hours')));
    }

    public function test_what_an_owner_may_have_changed_at_home_is_not_counted_and_said(): void
    {
        $owner = $this->machine('tern-220', 'owner');
        $this->read($owner, 0.0, 300);
        $this->read($owner, 900.0);
        $this->workOut();
        $nozzle = $this->getJson('/api/v1/fleet/lives/nozzle');

        self::assertStringContainsString('may have changed it', json_encode($nozzle->json('notCounted')) ?: '');
        self::assertSame([$owner->tag], $nozzle->json('notCounted.0.tags'));
        self::assertSame(1, $this->getJson('/api/v1/fleet/lives/heat-break-fan')->json('of.running'), 'a fan is not changed in passing');
    }

    public function test_machines_that_are_gone_still_say_how_long_their_parts_lasted(): void
    {
        $machine = $this->running(2000.0);
        $this->changed($machine, 'heat-break-fan', 1500.0, fault: 'break-fan-failed');
        $machine->update(['place' => 'scrap']);
        $this->workOut();

        self::assertSame(1, $this->getJson('/api/v1/fleet/lives/heat-break-fan')->json('of.failures'));
        self::assertSame(0, DB::table('position_risks')->where('machine_id', $machine->id)->count(), 'but nothing fails on it any more');
    }

    /** @return list<SeenAt> of all machines, in the order they sat there */
    private function seen(string $class): array
    {
        return array_values(iterator_to_array($this->app->make(SeenQuery::class)->all($class), false));
    }
}
