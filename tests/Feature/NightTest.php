<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Repair\Guides\GuideRun;
use App\Repair\Timers\Timer;
use App\Shop\Setting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** What is started before everybody goes, what goes on, and what must not. */
final class NightTest extends PlanTestCase
{
    public function test_at_four_what_may_run_stands_there_with_its_minutes(): void
    {
        Setting::put('nights', true);
        $job = $this->wetSpool();
        $this->travelTo(Carbon::parse('2026-12-07T16:20:00+01:00'));
        $this->plan();
        $today = $this->today();

        self::assertSame(
            '2026-12-07T15:20:00+00:00',
            Carbon::parse((string) $today['nightAt'])->utc()->toIso8601String(),
            'it is past four',
        );
        $own = array_values(array_filter($today['night'], static fn (array $n): bool => $n['job'] === $job->id));
        self::assertCount(1, $own);
        self::assertSame(['Dry filament', 360, null], [$own[0]['what'], $own[0]['alone'], $own[0]['because']]);
        self::assertStringContainsString(
            'Start before you go: dry filament, 6 h by itself.',
            implode(' ', array_column($this->told('hand-over')['countedOn'], 'words')),
        );
    }

    public function test_where_the_shop_has_not_said_so_nothing_runs_at_night_and_it_says_why(): void
    {
        $job = $this->wetSpool();
        $this->travelTo(Carbon::parse('2026-12-07T16:20:00+01:00'));
        $this->plan();
        $today = $this->today();

        self::assertSame([], $today['night']);
        $not = array_column($today['notAtNight'], 'because', 'job');
        self::assertArrayNotHasKey($job->id, $not);
        self::assertStringContainsString(
            'Somebody must be in the shop for the 364 min it takes, and it is never open for so long',
            implode(' ', array_column($today['unplanned'], 'because')),
            'with a break at noon',
        );
        // a shop that is open all day dries by day, and not from four on
        DB::table('hours')->update(['opens' => 480, 'closes' => 1020]);
        $this->plan();
        $today = $this->today();
        self::assertSame([], $today['unplanned']);
        $not = array_column($today['notAtNight'], 'because', 'job');
        self::assertArrayHasKey($job->id, $not);
        self::assertNotSame('', $not[$job->id]);
        self::assertSame('2026-12-08T07:00:00+00:00', $this->stepOf($job)['start']);
    }

    public function test_what_was_started_before_goes_on_and_says_until_when(): void
    {
        Setting::put('nights', true);
        $job = $this->wetSpool();
        $this->travelTo(Carbon::parse('2026-12-07T13:00:00+01:00'));
        $this->plan();
        $night = array_values(array_filter($this->today()['night'], static fn (array $n): bool => $n['job'] === $job->id));
        self::assertCount(1, $night);
        $until = Carbon::parse((string) $night[0]['until'])->setTimezone('Europe/Berlin');
        self::assertSame('2026-12-07', $until->toDateString());
        self::assertGreaterThan('19:00', $until->format('H:i'));
        // at eight in the morning it is over before anybody goes
        $this->travelTo(Carbon::parse('2026-12-08T08:00:00+01:00'));
        $this->plan();
        self::assertSame([], array_filter($this->today()['night'], static fn (array $n): bool => $n['job'] === $job->id));
    }

    public function test_what_was_begun_hot_and_is_not_over_at_closing_is_to_be_looked_at(): void
    {
        Setting::put('nights', true);
        $job = $this->toMend('break-fan-failed', '2026-12-11');
        $night = function (?bool $hot, string $at) use ($job): array {
            $this->travelTo(Carbon::parse($at));
            $job->update([
                'waits_for' => 'itself', 'waits_note' => 'a soak', 'waits_hot' => $hot,
                'waits_until' => Carbon::parse('2026-12-07T18:00:00Z'),
            ]);
            $this->plan();
            $today = $this->today();
            $own = static fn (string $list): array => array_values(array_map(
                static fn (array $step): array => [$step['what'], $step['because']],
                array_filter($today[$list], static fn (array $step): bool => $step['job'] === $job->id),
            ));

            return [$own('night'), $own('look')];
        };
        // the last hour is when it is asked for
        foreach (['2026-12-07T14:00:00+01:00', '2026-12-07T16:50:00+01:00'] as $at) {
            self::assertSame([[['a soak', null]], []], $night(false, $at));
            self::assertSame([[], [['a soak', 'Nobody has said whether it is hot.']]], $night(null, $at));
            [$goesOn, [[$what, $because]]] = $night(true, $at);
            self::assertSame([[], 'a soak'], [$goesOn, $what]);
            self::assertStringContainsString('It has passed no runaway test', (string) $because);
        }
        $until = Carbon::parse((string) $this->today()['look'][0]['until']);
        self::assertSame('19:00', $until->setTimezone('Europe/Berlin')->format('H:i'));
    }

    public function test_a_clock_of_a_guide_is_as_hot_as_its_step(): void
    {
        $job = $this->toMend('filament-wet', '2026-12-11');
        [$guide, $number] = $this->drying();
        $run = GuideRun::query()->create([
            'job_id' => $job->id, 'guide' => $guide, 'person_id' => $this->bo->id, 'began_at' => now(),
        ]);
        Timer::query()->create([
            'job_id' => $job->id, 'guide_run_id' => $run->id, 'step' => $number, 'name' => 'dry', 'person_id' => $this->bo->id,
            'began_at' => now(), 'rings_at' => Carbon::parse('2026-12-07T21:00:00Z'),
        ]);
        $this->travelTo(Carbon::parse('2026-12-07T16:50:00+01:00'));
        $this->plan();
        self::assertSame(
            [[$job->id, 'dry', 'This shop lets nothing hot run with nobody in the house.']],
            array_map(static fn (array $one): array => [$one['job'], $one['what'], $one['because']], $this->today()['look']),
        );
        self::assertStringContainsString(
            'Dry until 22:00, in the oven or dryer.',
            implode(' ', array_column($this->told('hand-over')['hot'], 'words')),
        );
        // the dryer has room for one, and that one is in it
        $other = $this->wetSpool();
        Setting::put('nights', true);
        $this->plan();
        self::assertSame([[$job->id], []], [array_column($this->today()['night'], 'job'), $this->today()['look']]);
        self::assertNotContains($other->id, array_column($this->today()['night'], 'job'));
    }

    /** @return array{string, int} the guide that dries in an oven, and the step of it */
    private function drying(): array
    {
        foreach ($this->app->make(Knowledge::class)->guides as $guide) {
            foreach ($guide->steps as $i => $step) {
                if ($step->timer?->oven === true) {
                    return [$guide->code, $i + 1];
                }
            }
        }
        self::fail('No guide dries in an oven.');
    }

    public function test_one_dryer_takes_one_spool(): void
    {
        Setting::put('nights', true);
        $first = $this->wetSpool();
        $second = $this->wetSpool();
        $this->travelTo(Carbon::parse('2026-12-07T16:20:00+01:00'));
        $tonight = fn (): array => array_values(array_intersect([$first->id, $second->id], array_column($this->today()['night'], 'job')));
        $this->plan();
        self::assertCount(1, $tonight());
        Setting::put('ovens', 2);
        $this->plan();
        self::assertCount(2, $tonight());
        Setting::put('ovens', 0);
        $this->plan();
        self::assertSame([], $tonight());
        self::assertContains($first->id, array_column($this->today()['unplanned'], 'job'), 'there is no dryer at all');
    }

    public function test_before_days_on_which_nobody_comes_it_asks_for_the_last_evening(): void
    {
        Setting::put('nights', true);
        $this->wetSpool();
        // a Saturday: the next evening is Monday's
        $this->travelTo(Carbon::parse('2026-12-12T10:00:00+01:00'));
        $this->plan();
        self::assertSame('2026-12-14T15:00:00+00:00', Carbon::parse((string) $this->today()['nightAt'])->utc()->toIso8601String());
        $this->actingAs($this->ada);
        $this->away(null, '2026-12-14', null, null, '2026-12-31')->assertOk();
        $this->plan();
        self::assertSame('2027-01-01', $this->today()['day']);
    }

    /** At Fix, its filament is to be dried. */
    private function wetSpool(): Job
    {
        return $this->toMend('filament-wet', '2026-12-11');
    }
}
