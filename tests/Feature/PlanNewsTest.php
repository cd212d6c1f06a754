<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Hands;
use App\Plan\Making\PlanAnew;
use App\Plan\Making\PlanRow;
use App\Plan\Making\PlanWatch;
use App\Plan\PlanNews;
use App\Shop\EndPerson;
use App\Shop\Role;
use App\Shop\Setting;
use App\Stock\Orders\CloseOrder;
use App\Stock\Orders\Order;
use App\Stock\Shelf\MoveStock;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/** What makes a plan an old one, what it says of that, and that nobody waits for the new one. */
final class PlanNewsTest extends PlanTestCase
{
    public function test_every_change_of_a_job_is_news_and_a_plan_knows_it(): void
    {
        self::assertTrue(PlanNews::waits(), 'there was never a plan');
        $this->plan();
        self::assertFalse($this->news());
        $job = $this->promised('2026-12-11');
        self::assertTrue($this->news(), 'one came in');
        $this->plan();
        self::assertFalse($this->news());
        $this->send('POST', "/jobs/{$job->id}/safety-answers", ['answers' => ['smoke' => false]])->assertOk();
        self::assertTrue($this->news(), 'its version is another');
        $this->plan();
        self::assertStringContainsString("{$job->machine->tag}: ", PlanRow::query()->orderByDesc('id')->firstOrFail()->because);
        $this->app->make(Hands::class)->off($job, $this->bo);
        self::assertTrue($this->news(), 'it was put down');
        $this->plan();
        $job->refresh()->update(['finished_at' => now()]);
        self::assertTrue($this->news(), 'it is out');
        $this->plan();
        self::assertFalse($this->news());
    }

    public function test_parts_orders_and_people_are_news_in_their_own_words(): void
    {
        $this->plan();
        $because = function (): string {
            self::assertTrue($this->news());

            return $this->plan()->because;
        };
        $part = $this->part(0);
        self::assertFalse($this->news(), 'a part there is none of');
        $this->app->make(MoveStock::class)->receive($part, 2, 120, null, $this->bo);
        self::assertSame('Liner 4/2 mm came in', $because());
        $this->order($part, 2, '2026-12-09T10:00:00+01:00');
        self::assertSame('Parts are ordered', $because());
        $this->app->make(CloseOrder::class)->close(Order::query()->sole(), 'they have none');
        self::assertSame('Nothing more comes of the order from Harbour Parts', $because());
        $person = $this->person();
        self::assertSame("{$person->name} is new here", $because());
        $person->update(['role' => Role::Lead]);
        self::assertSame("{$person->name} is in the plan as they are now", $because());
        $this->app->make(EndPerson::class)->end($person);
        self::assertSame("{$person->name} has left the shop", $because());
        $this->bo->update(['sees_money' => true]);
        self::assertFalse($this->news(), 'what a person sees is nothing to the plan');
    }

    public function test_the_last_three_are_told_and_none_twice(): void
    {
        $this->plan();
        foreach (['one', 'two', 'two', 'three', 'four', ''] as $because) {
            PlanNews::note($because);
        }
        self::assertSame('two; three; four', $this->plan()->because);
        PlanNews::note(str_repeat('ü', 400));
        self::assertSame(200, mb_strlen($this->plan()->because));
    }

    public function test_a_shop_that_is_set_otherwise_is_planned_anew_and_a_demo_that_is_played_is_not(): void
    {
        $this->plan();
        Queue::fake();
        $watch = fn () => $this->app->make(PlanWatch::class)->look();
        $watch();
        Queue::assertNothingPushed();
        Setting::put('ovens', 3);
        Setting::put('demo_playing', true);
        $watch();
        Queue::assertNothingPushed();
        Setting::put('demo_playing', false);
        $watch();
        Queue::assertPushed(PlanAnew::class, 1);
        self::assertSame('The shop is set otherwise', $this->plan()->because);
        Setting::put('nights', true);
        $watch();
        self::assertSame('The shop is set otherwise', DB::table('plan_news')->value('because'));
    }

    public function test_after_a_plan_that_broke_the_next_is_not_tried_at_once(): void
    {
        $this->plan();
        PlanNews::note('something happened');
        Queue::fake();
        (new PlanAnew)->failed();
        $this->app->make(PlanWatch::class)->look();
        Queue::assertNothingPushed();
        $this->travel(301)->seconds();
        $this->app->make(PlanWatch::class)->look();
        Queue::assertPushed(PlanAnew::class, 1);
    }

    public function test_old_plans_go_and_sixty_stay(): void
    {
        foreach (range(1, 62) as $i) {
            $this->plan();
        }
        self::assertSame(60, PlanRow::query()->count());
        self::assertSame((int) PlanRow::query()->max('id'), (int) PlanRow::query()->min('id') + 59);
    }

    public function test_everybody_reads_the_plan_and_who_only_looks_changes_nothing(): void
    {
        $job = $this->promised('2026-12-09');
        $this->plan();
        $step = $this->stepOf($job);
        $this->actingAs($this->person(Role::ReadOnly));
        foreach (['today', 'week', 'hand-over', 'went', 'calendar'] as $what) {
            $this->told($what);
        }
        self::assertNull($this->today()['next'], 'nothing is planned for who only looks');
        foreach ([
            ['PUT', '/plan/hours', ['person' => null, 'week' => [['weekday' => 1, 'opens' => '8:00', 'closes' => '9:00']]]],
            ['POST', '/plan/days-off', ['first' => '2026-12-10', 'why' => 'x']],
            ['POST', '/plan/moves', ['job' => $job->id, 'step' => $step['what']]],
            ['DELETE', '/plan/moves', ['job' => $job->id, 'step' => $step['what']]],
            ['POST', '/plan/move-cost', ['job' => $job->id, 'step' => $step['what']]],
            ['POST', '/plan/promise-offer', ['family' => 'tern-220']],
            ['POST', '/plan/calendar-address', []],
            ['DELETE', '/plan/calendar-address', []],
        ] as [$method, $path, $body]) {
            self::assertSame(403, $this->send($method, $path, $body)->getStatusCode(), "{$method} {$path}");
        }
    }

    public function test_what_was_done_stands_behind_now_and_the_ruler_reaches_it(): void
    {
        $job = $this->promised('2026-12-11');
        DB::table('work_spells')->insert([
            'job_id' => $job->id, 'person_id' => $this->bo->id, 'station' => 'safety',
            'began_at' => Carbon::parse('2026-12-07T06:40:00+01:00')->utc(),
            'ended_at' => Carbon::parse('2026-12-07T07:05:00+01:00')->utc(),
            'last_seen_at' => Carbon::parse('2026-12-07T07:05:00+01:00')->utc(),
        ]);
        $this->plan();
        $today = $this->today();
        self::assertSame('2026-12-07T06:00:00+01:00', $today['from'], 'before the shop opened');
        $done = array_values(array_filter($this->stepsOf($this->bo), static fn (array $s): bool => $s['state'] === 'done'));
        self::assertSame([[$job->machine->tag, 'Make safe']], array_map(static fn (array $s): array => [$s['tag'], $s['what']], $done));
        $this->travelTo(Carbon::parse('2026-12-07T18:00:00+01:00'));
        $this->plan();
        self::assertSame('2026-12-08', $this->today()['day']);
        self::assertSame(
            [],
            array_filter($this->stepsOf($this->bo), static fn (array $s): bool => $s['state'] === 'done'),
            'tomorrow nothing is done yet',
        );
    }

    /** @phpstan-impure */
    private function news(): bool
    {
        return PlanNews::waits();
    }
}
