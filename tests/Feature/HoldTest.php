<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Machines\Machine;
use App\Shop\Person;
use App\Shop\Role;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\HoldsNot;

/** Machines that do not hold, and repairs that come back: which visits count, and against whom. */
final class HoldTest extends FarmTestCase
{
    public function test_a_machine_that_comes_in_quicker_and_quicker_is_told_with_the_figures_of_its_sisters(): void
    {
        $bad = $this->running(2000.0);
        foreach ([900.0, 1400.0, 1650.0, 1800.0, 1900.0, 1960.0] as $at) {
            $this->visit($bad, $at);
        }
        foreach ([1500.0, 1800.0, 2100.0] as $hours) {
            $this->visit($this->running($hours), $hours / 2);
        }
        $this->workOut();
        $hold = $this->getJson('/api/v1/fleet/hold')->assertOk();
        $line = $hold->json('machines.0');

        self::assertSame([4, 1], [$hold->json('judged'), count((array) $hold->json('machines'))]);
        self::assertSame([$bad->tag, 6], [$line['tag'], $line['visits']]);
        // three visits of the three others in 5,400 h together
        self::assertEqualsWithDelta(1800.0, $line['sistersBetween'], 15.0);
        $holds = HoldsNot::of([900.0, 1400.0, 1650.0, 1800.0, 1900.0, 1960.0], 2000.0, 3, 5400.0);
        self::assertEqualsWithDelta($holds->sure(), $line['sure'], 0.01);
        self::assertStringContainsString('6 visits in 2,000 h, its sisters one in 1,8', $line['because']);
        self::assertStringContainsString('getting worse', $line['because']);
        self::assertSame(
            DB::table('jobs')->where('machine_id', $bad->id)->max('id'),
            $line['job'],
            'worth another? is asked of its last job',
        );
    }

    public function test_whether_it_is_worth_another_is_reckoned_with_its_pace_and_what_its_visits_cost(): void
    {
        $bad = $this->running(2000.0);
        $fan = $this->spare();
        foreach ([900.0, 1400.0, 1650.0, 1800.0, 1900.0, 1960.0] as $i => $at) {
            $job = $this->visit($bad, $at);
            // 20 minutes of hands at 0.90, and in the last two a fan for 4.00
            DB::table('work_spells')->insert([
                'job_id' => $job, 'person_id' => $this->lead->id, 'station' => 'repair', 'began_at' => now()->subMinutes(60 + 30 * $i),
                'last_seen_at' => now()->subMinutes(40 + 30 * $i), 'ended_at' => now()->subMinutes(40 + 30 * $i),
            ]);
            if ($i >= 4) {
                DB::table('movements')->insert([
                    'part_id' => $fan->id, 'kind' => 'used', 'quantity' => -1, 'value_minor' => -400, 'job_id' => $job, 'bin' => '',
                    'person_id' => $this->lead->id, 'at' => now(), 'position' => 'heat-break-fan',
                ]);
            }
        }
        foreach ([1500.0, 1800.0, 2100.0] as $hours) {
            $this->visit($good = $this->running($hours), $hours / 2);
        }
        $this->workOut();
        $worth = fn (Machine $m): array => (array) $this->getJson('/api/v1/jobs/'.DB::table('jobs')->where(
            'machine_id',
            $m->id,
        )->max('id').'/money?sellsAt=20000')
            ->assertOk()->json('worth');
        $holds = HoldsNot::of([900.0, 1400.0, 1650.0, 1800.0, 1900.0, 1960.0], 2000.0, 3, 5400.0);

        $of = $worth($bad);
        self::assertSame([true, 1800 + 2 * 400 / 5], [$of['furtherIsNextVisit'], $of['furtherMinor']], 'as the last five');
        self::assertEqualsWithDelta($holds->staysOut(500.0), $of['chance'], 0.01);
        self::assertLessThan(0.2, $of['chance']);
        self::assertStringContainsString('getting worse', $of['holdsNot']);
        $other = $worth($good);
        self::assertNull($other['holdsNot']);
        self::assertGreaterThan(0.8, $other['chance']);
        self::assertGreaterThan($of['mendMinor'], $other['mendMinor'], 'a mend that does not hold brings less');
    }

    public function test_services_and_the_visit_it_came_in_by_are_no_failures(): void
    {
        $serviced = $this->running(2000.0);
        foreach ([900.0, 1400.0, 1650.0, 1800.0, 1900.0, 1960.0] as $at) {
            $this->visit($serviced, $at, 'service');
        }
        // of a machine that came used nothing is known before its counter was read first
        $used = $this->machine();
        $this->visit($used, 3000.0);
        $this->read($used, 3000.0, 100);
        $this->read($used, 3400.0);
        $this->running(2500.0);
        $this->workOut();

        self::assertSame([], $this->getJson('/api/v1/fleet/hold')->assertOk()->json('machines'));
        self::assertSame(3, $this->getJson('/api/v1/fleet/hold')->json('judged'));
    }

    public function test_a_machine_is_held_against_its_own_family(): void
    {
        // such a pace is usual among the herons, and not among the terns
        foreach (['heron-cx', 'heron-cx', 'heron-cx', 'tern-220'] as $i => $family) {
            $machine = $this->running(2000.0, $family);
            foreach ([300.0, 700.0, 1000.0, 1350.0, 1700.0] as $at) {
                $this->visit($machine, $at + 7 * $i);
            }
            $tags[$family][] = $machine->tag;
        }
        for ($i = 0; $i < 3; $i++) {
            $this->running(2400.0);
        }
        $this->workOut();

        self::assertSame($tags['tern-220'], array_column((array) $this->getJson('/api/v1/fleet/hold')->json('machines'), 'tag'));
    }

    public function test_comebacks_count_for_whoever_mended_last_and_for_two_years(): void
    {
        [$bo, $imre] = [$this->person(), $this->person()];
        $machine = $this->running(1000.0);
        $this->mended($machine, 'belt-slack', [$bo, $imre], back: true);
        $this->mended($machine, 'tube-cooked', [$bo]);
        $this->mended($machine, 'belt-slack', [$bo], back: true, daysAgo: 800);
        $hold = $this->getJson('/api/v1/fleet/hold')->assertOk();

        self::assertSame(2, $hold->json('repairs'));
        self::assertSame([[$bo->name, 1, 0], [$imre->name, 1, 1]], self::lines($hold->json('people')));
        self::assertSame([['Belt slack', 1, 1]], array_map(
            static fn (array $l): array => [ucfirst(strtolower($l[0])), $l[1], $l[2]],
            self::lines($hold->json('faults')),
        ));
        $this->actingAs($imre);
        self::assertSame(
            [[$imre->name, 1, 1]],
            self::lines($this->getJson('/api/v1/fleet/hold')->json('people')),
            'everybody sees themselves',
        );
    }

    public function test_another_fault_in_the_warranty_is_no_comeback_of_this_one(): void
    {
        $bo = $this->person();
        $machine = $this->running(1000.0);
        $job = $this->mended($machine, 'belt-slack', [$bo]);
        $again = $this->visit($machine, 990.0);
        DB::table('diagnoses')->insert([
            'job_id' => $again, 'fault' => 'tube-cooked', 'probability' => 0.9, 'person_id' => $bo->id,
            'at' => now(), 'comeback_of' => $job,
        ]);

        self::assertSame([[$bo->name, 1, 0]], self::lines($this->getJson('/api/v1/fleet/hold')->json('people')));
    }

    public function test_who_only_looks_sees_machines_and_nobody_s_work(): void
    {
        $this->mended($this->running(1000.0), 'belt-slack', [$this->person()], back: true);
        $this->actingAs($this->person(Role::ReadOnly));

        self::assertSame([], $this->getJson('/api/v1/fleet/hold')->assertOk()->json('people'));
    }

    private function visit(Machine $machine, float $hours, string $kind = 'repair', int $daysAgo = 10): int
    {
        $at = Carbon::now()->subDays($daysAgo);

        return (int) DB::table('jobs')->insertGetId([
            'machine_id' => $machine->id, 'kind' => $kind, 'station' => 'release', 'complaint' => 'It stopped', 'began' => 'not-known',
            'hours' => $hours, 'opened_by' => $this->lead->id, 'opened_at' => $at, 'station_since' => $at, 'finished_at' => $at,
        ]);
    }

    /** @param  non-empty-list<Person>  $by  one after the other, the last one’s work stands */
    private function mended(Machine $machine, string $fault, array $by, bool $back = false, int $daysAgo = 40): int
    {
        $job = $this->visit($machine, 500.0, daysAgo: $daysAgo);
        foreach ($by as $person) {
            DB::table('mends')->insert([
                'job_id' => $job, 'fault' => $fault, 'done' => 'set', 'touched' => '[]', 'person_id' => $person->id,
                'at' => now()->subDays($daysAgo),
            ]);
        }
        if ($back) {
            DB::table('diagnoses')->insert([
                'job_id' => $this->visit($machine, 520.0, daysAgo: $daysAgo - 5), 'fault' => $fault, 'probability' => 0.9,
                'person_id' => $by[0]->id, 'at' => now()->subDays($daysAgo - 5), 'comeback_of' => $job,
            ]);
        }

        return $job;
    }

    /** @return list<array{string, int, int}> */
    private static function lines(mixed $views): array
    {
        return array_values(array_map(
            static fn (array $v): array => [(string) $v['name'], (int) $v['jobs'], (int) $v['cameBack']],
            (array) $views,
        ));
    }
}
