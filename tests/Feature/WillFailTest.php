<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Fleet\Risks\KeepRisks;
use App\Intake\Job;
use App\Machines\Machine;
use App\Shop\Setting;
use App\Stock\Kits\Reservation;
use App\Stock\Parts\Part;
use Illuminate\Support\Facades\DB;
use OddBench\Fleet\ChangeAge;
use OddBench\Fleet\ChangeNow;
use OddBench\Fleet\ChangeWork;
use OddBench\Fleet\Weibull;
use OddBench\Knowledge\Knowledge;

/** What will fail, in money and hours worked by hand; the jobs made of it, and what becomes of them. */
final class WillFailTest extends FarmTestCase
{
    public function test_risk_and_costs_are_those_worked_by_hand(): void
    {
        Setting::put('open_minutes', 10);
        Setting::put('find_minutes', 25);
        Setting::put('down_days', 3);
        Setting::put('print_hour_minor', 200);
        Setting::put('bench_minute_minor', 100);
        $machine = $this->running(2600.0);
        $this->part(2, 'heat-break-fan', 'FAN-1'); // 1.20 each
        $this->byTheTradesWord();
        $visit = $this->visit($machine, 4);
        $fan = $this->partOf($visit, 'heat-break-fan');
        $minutes = ChangeWork::of($this->app->make(Knowledge::class), 'tern-220', 'heat-break-fan')->minutes;

        // it is opened for 10 minutes, the fan takes its own, each minute costs 1.00
        $planned = 120 + 100 * (10 + $minutes);
        // 25 minutes until it is known, and three days of what it runs in a week lost at 2.00 an hour
        $failure = $planned + 2500 + 3 * round($visit['perWeek']) / 7 * 200;
        self::assertEqualsWithDelta([$planned, $failure], [$fan['plannedMinor'], $fan['failureMinor']], 0.51);
        // the trade says 2,500 h on the average at shape 2.5: R, 1 - pweibull(2600 + h, 2.5, 2500 / gamma(1.4), lower = FALSE) / …
        $scale = 2500 / 0.8872638175;
        $ahead = 2600 + 4 * $visit['perWeek'];
        self::assertEqualsWithDelta(1 - exp((2600 / $scale) ** 2.5 - ($ahead / $scale) ** 2.5), $fan['risk'], 0.002);
        $now = ChangeNow::of(
            $life = Weibull::withMean(2.5, 2500.0),
            ChangeAge::of($life, $planned, $failure),
            $planned,
            $failure,
            2600.0,
            4 * $visit['perWeek'],
        );
        self::assertEqualsWithDelta($now->saves, $fan['savesMinor'], 0.02 * abs($now->saves) + 1);
    }

    public function test_opening_is_paid_once_a_visit_and_not_at_all_on_the_bench(): void
    {
        $machine = $this->running(2600.0);
        $this->workOut();
        $visit = $this->visit($machine, 8);
        $opening = 12 * 90;
        self::assertGreaterThan(1, count($visit['parts']));

        self::assertEqualsWithDelta(
            array_sum(array_column($visit['parts'], 'plannedMinor')) - (count($visit['parts']) - 1) * $opening,
            $visit['plannedMinor'],
            count($visit['parts']),
        );
        self::assertEqualsWithDelta(
            array_sum(array_column($visit['parts'], 'savesMinor')) + (count($visit['parts']) - 1) * $opening,
            $visit['savesMinor'],
            count($visit['parts']),
        );
        foreach ($visit['parts'] as $part) {
            self::assertGreaterThan(0, $part['savesMinor'] + $opening, "{$part['position']} does not pay even while it is open");
        }
        $this->job($machine, hours: 2600.0);
        $this->workOut();
        $open = $this->visit($machine, 8);
        self::assertEqualsWithDelta($visit['plannedMinor'] - $opening, $open['plannedMinor'], count($open['parts']));
        self::assertSame('bench', $open['place']);
    }

    public function test_the_list_goes_on_where_it_ended_and_holds_every_machine_once(): void
    {
        for ($i = 0; $i < 45; $i++) {
            $this->running(2500.0 + 10 * $i);
        }
        $this->byTheTradesWord();
        $first = $this->getJson('/api/v1/fleet/risks?weeks=4')->assertOk();
        $next = $this->getJson('/api/v1/fleet/risks?weeks=4&after='.rawurlencode($first->json('next')))->assertOk();
        $tags = [...array_column((array) $first->json('visits'), 'tag'), ...array_column((array) $next->json('visits'), 'tag')];

        self::assertSame([40, 45, 45], [count((array) $first->json('visits')), count($tags), count(array_unique($tags))]);
        self::assertNull($next->json('next'));
        self::assertSame([45, 45], [$first->json('machines'), $first->json('worth')]);
        $saves = array_column((array) $first->json('visits'), 'savesMinor');
        $sorted = $saves;
        rsort($sorted);
        self::assertSame($sorted, $saves, 'what saves most comes first');
        $this->getJson('/api/v1/fleet/risks?after=nonsense')->assertOk();
    }

    public function test_only_the_farm_is_foretold_and_of_it_one_family_where_it_is_asked(): void
    {
        [$tern, $heron] = [$this->running(2600.0), $this->running(2600.0, 'heron-cx')];
        $owner = $this->machine('tern-220', 'owner');
        $this->read($owner, 0.0, 400);
        $this->read($owner, 2600.0);
        $owner->update(['place' => 'owner']);
        $this->workOut();
        $tags = fn (string $query): array => array_column(
            (array) $this->getJson("/api/v1/fleet/risks?weeks=8{$query}")->assertOk()->json('visits'),
            'tag',
        );

        self::assertEqualsCanonicalizing([$tern->tag, $heron->tag], $tags(''));
        self::assertSame([$heron->tag], $tags('&family=heron-cx'));
        foreach (['risks', 'farm'] as $screen) {
            $this->assertRefused($this->getJson("/api/v1/fleet/{$screen}?weeks=5"), 422, 'weeks', '1, 2, 4 or 8 weeks');
            $this->assertRefused($this->getJson("/api/v1/fleet/{$screen}?family=heron"), 422, 'family', 'no family');
        }
    }

    public function test_what_fails_by_chance_is_listed_apart_and_never_in_a_visit(): void
    {
        $this->running(4000.0);
        $this->workOut();
        $risks = $this->getJson('/api/v1/fleet/risks?weeks=8')->assertOk();
        $chance = array_column((array) $risks->json('notByTheClock'), null, 'position');

        self::assertArrayHasKey('thermistor', $chance);
        self::assertNull($chance['thermistor']['changeAtHours']);
        self::assertStringContainsString('Not by the clock', $chance['thermistor']['because']);
        self::assertNotContains(
            'thermistor',
            array_column(array_merge(...array_column((array) $risks->json('visits'), 'parts')), 'position'),
        );
    }

    public function test_a_machine_nobody_read_foretells_nothing(): void
    {
        $machine = $this->machine();
        $machine->update(['place' => 'service']);
        $this->workOut();

        self::assertSame([], $this->getJson('/api/v1/fleet/risks?weeks=8')->assertOk()->json('visits'));
        self::assertSame([0.0], DB::table('machine_risks')->pluck('risk_8')->map(floatval(...))->all());
        self::assertSame('hours not known', $this->farm($machine)['hours'] ?? 'hours not known');
    }

    public function test_a_planned_change_is_promised_done_by_fitting_it_and_gone_from_the_forecast(): void
    {
        $machine = $this->running(2600.0);
        $fan = $this->part(2, 'heat-break-fan', 'FAN-1');
        $this->workOut();
        $expected = static fn (): float => (float) DB::table('class_risks')->where('part_class', 'heat-break-fan')->sum('expected_8');
        self::assertGreaterThan(0.05, $expected());
        $job = $this->make([[$machine, ['heat-break-fan']]]);
        self::assertSame([1, 'service', 'bench'], [
            (int) Reservation::query()->where([
                'job_id' => $job->id,
                'part_id' => $fan->id,
            ])->sum('quantity'), $job->kind->value, $machine->refresh()->place,
        ]);
        self::assertSame(0.0, $expected(), 'what is promised is not foretold besides');

        $this->safe($job);
        $this->send('POST', "/jobs/{$job->id}/station", ['to' => 'repair', 'version' => $job->refresh()->version])->assertOk();
        $this->send('POST', "/jobs/{$job->id}/parts", [
            'part' => 'FAN-1', 'quantity' => 1, 'position' => 'heat-break-fan', 'oldEnded' => 'worked',
        ])->assertOk();
        $changes = $this->getJson("/api/v1/jobs/{$job->id}/fix")->assertOk()->json('changes');
        self::assertSame(
            [['heat-break-fan', true]],
            array_map(static fn (array $c): array => [$c['position'], $c['done']], (array) $changes),
        );
        self::assertSame(0, (int) Reservation::query()->where('job_id', $job->id)->sum('quantity'));
        self::assertSame(1, Part::query()->findOrFail($fan->id)->on_hand);
        $this->workOut();
        self::assertSame(0, $this->getJson('/api/v1/fleet/lives/heat-break-fan')->json('of.failures'), 'changed before it failed');
        self::assertSame(1, $this->getJson('/api/v1/fleet/lives/heat-break-fan')->json('takenOutWorking'));
    }

    public function test_what_comes_round_goes_into_the_same_job(): void
    {
        $machine = $this->running(2600.0);
        $this->workOut();
        $due = array_values(array_filter(
            (array) $this->getJson("/api/v1/machines/{$machine->tag}")->json('service'),
            static fn (array $s): bool => $s['share'] >= 1.0,
        ));
        self::assertNotSame([], $due);
        $job = $this->make([[$machine, ['nozzle']]]);

        $items = (array) $this->getJson("/api/v1/jobs/{$job->id}/fix")->json('service');
        self::assertSame(array_column($due, 'item'), array_column($items, 'item'));
    }

    public function test_what_cannot_be_planned_is_refused_at_its_place_and_nothing_is_made(): void
    {
        $machine = $this->running(2600.0);
        $jobs = fn (array $visits) => $this->send('POST', '/fleet/service-jobs', ['visits' => $visits]);
        $this->assertRefused($jobs([['tag' => $machine->tag, 'positions' => ['nozle']]]), 422, 'visits.0.positions.0', 'Did you mean');
        $this->assertRefused($jobs([['tag' => $machine->tag, 'positions' => []]]), 422, 'visits.0.positions', '');
        $this->assertRefused($jobs([]), 422, 'visits', '');
        $this->assertRefused($jobs([
            ['tag' => $machine->tag, 'positions' => ['nozzle']], ['tag' => 'NO-000-X', 'positions' => ['nozzle']],
        ]), 422, 'tag', 'NO-000-X');
        $machine->update(['place' => 'donor']);
        $jobs([['tag' => $machine->tag, 'positions' => ['nozzle']]])->assertStatus(409);
        self::assertSame([0, 0], [Job::query()->count(), DB::table('planned_changes')->count()]);
    }

    /**
     * @param  list<array{Machine, list<string>}>  $visits
     * @return Job the first of them
     */
    private function make(array $visits): Job
    {
        $made = $this->send('POST', '/fleet/service-jobs', ['visits' => array_map(
            static fn (array $v): array => ['tag' => $v[0]->tag, 'positions' => $v[1]],
            $visits,
        )])->assertOk();

        return Job::query()->findOrFail($made->json('jobs.0.job'));
    }

    /** Lives nobody has worked out from the shop’s own yet. */
    private function byTheTradesWord(): void
    {
        $this->app->make(KeepRisks::class)->all();
    }

    /** @return array<string, mixed> */
    private function visit(Machine $machine, int $weeks): array
    {
        $visits = (array) $this->getJson("/api/v1/fleet/risks?weeks={$weeks}")->assertOk()->json('visits');

        return (array) collect($visits)->firstWhere('tag', $machine->tag);
    }

    /**
     * @param  array<string, mixed>  $visit
     * @return array<string, mixed>
     */
    private function partOf(array $visit, string $position): array
    {
        return (array) collect((array) $visit['parts'])->firstWhere('position', $position);
    }

    /** @return array<string, mixed> */
    private function farm(Machine $machine): array
    {
        return (array) collect((array) $this->getJson('/api/v1/fleet/farm')->json('machines'))->firstWhere('tag', $machine->tag);
    }
}
