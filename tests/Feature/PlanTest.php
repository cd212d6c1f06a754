<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\BookIn;
use App\Intake\Booking;
use App\Intake\Job;
use App\Machines\ServiceDone;
use App\Plan\Ahead\LookedBefore;
use App\Plan\Calendar\DayOff;
use App\Plan\Making\PlanAnew;
use App\Plan\Making\PlanMove;
use App\Plan\Making\PlanWatch;
use App\Plan\Making\SituationQuery;
use App\Plan\PlanNews;
use App\Shop\Person;
use App\Shop\Role;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use OddBench\Intake\Began;
use OddBench\Intake\JobKind;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\ServiceItem;

/** The plan of a small shop. */
final class PlanTest extends PlanTestCase
{
    public function test_today_has_a_band_for_everybody_and_says_how_good_it_is(): void
    {
        $promised = $this->promised('2026-12-08');
        $this->plan();
        $today = $this->today();

        self::assertSame(['lead 2', 'technician 1'], array_map(strtolower(...), array_column($today['people'], 'name')));
        self::assertSame('2026-12-07T08:00:00+01:00', $today['from']);
        self::assertSame('2026-12-07T18:00:00+01:00', $today['to']);
        self::assertCount(2, $today['open']);
        $steps = array_merge(...array_column($today['people'], 'steps'));
        self::assertContains($promised->machine->tag, array_column($steps, 'tag'));
        foreach ($steps as $step) {
            self::assertLessThanOrEqual('2026-12-07T16:00:00', Carbon::parse($step['end'])->utc()->format('Y-m-d\TH:i:s'));
        }
        self::assertStringContainsString('One promised for today or tomorrow, kept.', $today['holds']);
        self::assertStringStartsWith('Nothing late; all done Mon 7 Dec', $today['quality']);
        self::assertStringContainsString('No order of these steps is better.', $today['quality']);
        $bench = $this->getJson('/api/v1/bench')->assertOk();
        self::assertSame($today['next']['job'], $bench->json('pick.job'), 'What now says the same');
        self::assertStringStartsWith('Your next by the plan at 09:00: ', (string) $bench->json('pickBecause'));
        $mine = array_values(array_filter($this->steps(), fn (array $s): bool => $s['person'] === $this->bo->id));
        self::assertSame($mine[0]['what'] ?? null, $today['next']['what'] ?? null, 'the first of one’s own');
    }

    public function test_it_is_made_on_the_queue_when_something_changed_and_says_what_and_why(): void
    {
        $job = $this->promised('2026-12-07');
        $this->plan();
        self::assertFalse($this->today()['stale']);
        Queue::fake();
        $this->app->make(PlanWatch::class)->look();
        Queue::assertNothingPushed();
        $this->send('POST', "/jobs/{$job->id}/safety-answers", ['answers' => ['smoke' => false]])->assertOk();
        self::assertTrue($this->today()['stale']);
        $this->app->make(PlanWatch::class)->look();
        Queue::assertPushed(PlanAnew::class, 1);
        // everybody goes home: nothing of today is ready
        $this->actingAs($this->ada);
        foreach ([$this->bo, $this->ada] as $person) {
            $this->away($person, '2026-12-07', '9:30', '24:00')->assertOk();
        }
        $this->plan();
        $today = $this->today();
        self::assertStringContainsString('is away from 09:30', $today['changedBecause']);
        self::assertStringContainsString("({$job->machine->tag})", implode(' ', $today['costs']));
        self::assertStringContainsString('a day late', implode(' ', $today['costs']));
        self::assertSame([$job->id], array_column($today['warnings'], 'job'));
        self::assertSame('A day late by this plan.', $today['warnings'][0]['words']);
        // and they are here after all
        foreach (DayOff::query()->pluck('id') as $off) {
            $this->send('DELETE', "/plan/days-off/{$off}")->assertOk();
        }
        $this->plan();
        self::assertStringContainsString('in time again', implode(' ', $this->today()['gains']));
        self::assertSame(0, DB::table('plan_news')->count());
    }

    public function test_time_that_goes_on_without_hands_makes_it_anew(): void
    {
        $job = $this->promised('2026-12-08');
        $this->plan();
        Queue::fake();
        $this->travel(4)->minutes();
        $this->app->make(PlanWatch::class)->look();
        Queue::assertNothingPushed();
        $this->travel(4)->minutes();
        $this->app->make(PlanWatch::class)->look();
        Queue::assertPushed(PlanAnew::class, 1);
        $this->plan();
        self::assertStringContainsString("{$job->machine->tag}: ", $this->today()['changedBecause']);
        self::assertStringContainsString('was not begun as planned', $this->today()['changedBecause']);
        // what is in hands is not late, until it takes longer than it was reckoned to
        $this->send('POST', "/jobs/{$job->id}/hands", ['on' => true])->assertOk();
        $this->plan();
        $now = array_values(array_filter($this->stepsOf($this->bo), static fn (array $s): bool => $s['state'] === 'now'));
        self::assertSame([$job->machine->tag], array_column($now, 'tag'));
        $this->travel(6)->minutes();
        $this->app->make(PlanWatch::class)->look();
        Queue::assertPushed(PlanAnew::class, 1);
        $this->travel(20)->minutes();
        $this->app->make(PlanWatch::class)->look();
        self::assertStringContainsString('takes longer than reckoned', (string) DB::table('plan_news')->value('because'));
    }

    public function test_a_step_is_moved_after_it_was_said_what_that_costs(): void
    {
        $job = $this->promised('2026-12-07');
        $this->plan();
        $step = $this->stepOf($job);
        $body = ['job' => $job->id, 'step' => $step['what'], 'person' => $this->ada->id];
        $move = fn (array $more, string $to = 'moves'): TestResponse => $this->send('POST', "/plan/{$to}", $body + $more);
        $cost = $move(['notBefore' => '2026-12-08T09:00:00+01:00'], 'move-cost')->assertOk()->json();
        self::assertSame(["Ines Halloran ({$job->machine->tag}) a day late."], $cost['costs']);
        self::assertFalse($cost['kept']);
        self::assertSame(0, PlanMove::query()->count());
        self::assertSame([], $move(['notBefore' => '2026-12-07T10:00:00+01:00'], 'move-cost')->json('gains'));
        $move(['notBefore' => '2026-12-07T10:00:00+01:00'])->assertOk();
        $this->plan();
        $moved = $this->stepOf($job);
        self::assertSame(['2026-12-07T09:00:00+00:00', $this->ada->id, true], [$moved['start'], $moved['person'], $moved['moved']]);
        self::assertStringContainsString('moved “'.$step['what'], $this->today()['changedBecause']);
        $this->send('DELETE', '/plan/moves', ['job' => $job->id, 'step' => $step['what']])->assertOk();
        $this->plan();
        self::assertSame('2026-12-07T08:00:00+00:00', $this->stepOf($job)['start']);
        $this->assertRefused($this->send('POST', '/plan/moves', ['job' => $job->id, 'step' => 'Dance']), 422, 'step', 'no step “Dance”');
        $this->assertRefused($move(['notBefore' => 'soon']), 422, 'notBefore', 'Not before when');
        $this->assertRefused($move(['notBefore' => '9999-12-31T10:00:00+01:00'], 'move-cost'), 422, 'notBefore', 'more than a year away');
        $this->actingAs($this->person(Role::Counter));
        $move([])->assertForbidden();
    }

    public function test_who_may_not_do_it_is_not_given_it(): void
    {
        $job = $this->promised('2026-12-09');
        $this->tagRed($job);
        $this->plan();
        self::assertContains($this->ada->id, array_map(
            static fn (array $s): ?int => $s['what'] === 'Countersign the red tag' ? $s['person'] : null,
            $this->steps(),
        ));
        $this->assertRefused($this->send('POST', '/plan/moves', [
            'job' => $job->id, 'step' => 'Countersign the red tag', 'person' => $this->bo->id,
        ]), 409, 'person', 'it needs lead');
        $this->ada->update(['left_at' => now()]);
        $this->plan();
        $unplanned = $this->today()['unplanned'];
        self::assertSame(
            [[$job->id, 'Countersign the red tag']],
            array_map(static fn (array $u): array => [$u['job'], $u['what']], $unplanned),
        );
        self::assertStringContainsString('Nobody here may do it: it needs lead.', $unplanned[0]['because']);
    }

    public function test_what_waits_without_a_date_is_said_and_the_rest_is_planned(): void
    {
        $waits = $this->promised('2026-12-09');
        $other = $this->job();
        $waits->update(['waits_for' => 'owner', 'waits_since' => now()]);
        $this->plan();
        $today = $this->today();
        self::assertSame([$waits->id], array_column($today['unplanned'], 'job'));
        self::assertStringContainsString('It waits for its owner', $today['unplanned'][0]['because']);
        self::assertStringStartsWith('In no plan: it waits for its owner', $today['warnings'][0]['words']);
        self::assertContains($other->machine->tag, array_column($this->steps(), 'tag'));
        $waits->update(['waits_for' => 'part', 'waits_until' => Carbon::parse('2026-12-08T10:00:00+01:00')->utc()]);
        $this->plan();
        self::assertSame([], $this->today()['unplanned']);
        self::assertGreaterThanOrEqual('2026-12-08T09:00:00+00:00', $this->stepOf($waits)['start']);
    }

    public function test_service_is_planned_item_by_item_until_it_is_done(): void
    {
        $job = $this->app->make(BookIn::class)->book(
            $this->machine(),
            new Booking(JobKind::Service, 'By hours', Began::CreptIn, 1200.0),
            $this->bo,
        );
        $service = $this->app->make(Knowledge::class)->service;
        $items = [$service['wipe-down'], $service['belts-check']];
        $job->update(
            ['service_items' => array_map(static fn (ServiceItem $i): string => $i->code, $items), 'find_passed_because' => 'service'],
        );
        $this->plan();
        $told = fn (): string => implode(
            '; ',
            array_column(array_filter($this->steps(), static fn (array $s): bool => $s['job'] === $job->id), 'what'),
        );
        $name = fn (ServiceItem $item): string => $item->guide === null
            ? $item->name
            : $this->app->make(Knowledge::class)->guides[$item->guide]->name;
        self::assertStringContainsString($name($items[0]), $told());
        self::assertStringContainsString($name($items[1]), $told());
        ServiceDone::query()->create([
            'machine_id' => $job->machine_id, 'job_id' => $job->id, 'item' => $items[0]->code, 'hours' => 1200, 'at' => now(), 'person_id' => $this->bo->id,
        ]);
        $this->plan();
        self::assertStringNotContainsString($name($items[0]), $told());
        self::assertStringContainsString($name($items[1]), $told());
    }

    public function test_an_order_people_have_read_stays_while_another_is_only_as_good(): void
    {
        $this->away($this->bo, '2026-12-07', null, null)->assertOk();
        $jobs = array_map(fn (): Job => $this->promised('2026-12-11'), range(1, 3));
        $row = $this->plan();
        $first = $row->body['steps'][0]['job'];
        $order = [...array_diff(array_map(static fn (Job $j): int => $j->id, $jobs), [$first]), $first];
        $steps = $row->body['steps'];
        usort(
            $steps,
            static fn (array $a, array $b): int => array_search($a['job'], $order, true) <=> array_search($b['job'], $order, true),
        );
        $row->update(['body' => ['steps' => $steps] + $row->body]);
        PlanNews::note('somebody asked');
        $again = $this->plan();
        self::assertSame($order[0], $again->body['steps'][0]['job']);
        self::assertSame($again->body['steps'], $this->plan()->body['steps'], 'and it stays so');
    }

    public function test_nobody_and_a_day_with_no_hands_are_no_accident(): void
    {
        $job = $this->promised('2026-12-08');
        Person::query()->update(['role' => Role::Counter]);
        $this->actingAs(Person::query()->findOrFail($this->bo->id));
        $this->plan();
        self::assertSame('Nobody works here in these days.', $this->today()['unplanned'][0]['because']);
        $this->ada->refresh()->update(['role' => Role::Lead]);
        $this->actingAs($this->ada);
        $this->away(null, '2026-12-07', null, null, '2026-12-08')->assertOk();
        $this->plan();
        self::assertSame('2026-12-09T07:00:00+00:00', $this->stepOf($job)['start']);
        self::assertSame('2026-12-09', $this->today()['day'], 'the shop is shut: the next day it is open');
        self::assertSame('2026-12-09T08:00:00+01:00', $this->today()['open'][0][0]);
        $week = $this->getJson('/api/v1/plan/week')->assertOk()->json('days');
        self::assertSame(['inventory', 'inventory', null], array_column(array_slice($week, 0, 3), 'shut'));
    }

    public function test_the_plan_asks_as_little_for_nine_jobs_as_for_three(): void
    {
        $count = function (): int {
            DB::enableQueryLog();
            $this->today();
            $asked = count(DB::getQueryLog());
            DB::flushQueryLog();
            DB::disableQueryLog();

            return $asked;
        };
        for ($i = 0; $i < 3; $i++) {
            $this->promised('2026-12-08');
        }
        $this->plan();
        $three = $count();
        for ($i = 0; $i < 6; $i++) {
            $this->promised('2026-12-09');
        }
        $this->plan();
        self::assertSame($three, $count());
        self::assertLessThanOrEqual(12, $three);
    }

    public function test_a_plan_is_read_in_as_few_questions_for_nine_jobs_as_for_three_and_looks_once_at_what_did_not_change(): void
    {
        $read = function (): array {
            $this->anew();
            $this->app->forgetInstance(LookedBefore::class);
            DB::enableQueryLog();
            DB::flushQueryLog();
            $situation = $this->app->make(SituationQuery::class)->read();
            DB::disableQueryLog();

            return [count(DB::getQueryLog()), $situation];
        };
        $jobs = array_map(fn (int $i): Job => $this->promised("2026-12-1{$i}"), range(0, 2));
        $this->atFind($jobs[0]);
        $this->send('POST', "/jobs/{$jobs[0]->id}/findings", ['findings' => ['gear-dust' => true]])->assertOk();
        [$three] = $read();
        foreach (range(3, 8) as $i) {
            $this->promised("2026-12-1{$i}");
        }
        [$nine, $before] = $read();
        self::assertSame($three, $nine);
        $row = $this->plan();
        self::assertArrayHasKey($jobs[0]->id, $row->looked);
        // what was looked at stands as long as the job does, and no longer than it holds
        $row->update(
            ['looked' => [$jobs[0]->id => ['look' => ['A look of before', 7.0, false]] + $row->looked[$jobs[0]->id]] + $row->looked],
        );
        self::assertSame('A look of before', $read()[1]->chains[$jobs[0]->id][0]->what);
        $this->travel(31)->minutes();
        self::assertSame($before->chains[$jobs[0]->id][0]->what, $read()[1]->chains[$jobs[0]->id][0]->what);
        $this->travelBack();
        $this->travelTo(Carbon::parse('2026-12-07T09:05:00+01:00'));
        $this->send('POST', "/jobs/{$jobs[0]->id}/findings", ['findings' => ['gaps-in-fill' => true]])->assertOk();
        self::assertNotSame('A look of before', $read()[1]->chains[$jobs[0]->id][0]->what);
    }
}
