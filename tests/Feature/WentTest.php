<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Intake\WorkSpell;
use App\Shop\Role;
use App\Shop\Setting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** How some days went: hands against what was reckoned, what waiting cost, promises kept; and work in the shop = rate × time. */
final class WentTest extends PlanTestCase
{
    public function test_minutes_by_station_stand_against_what_was_reckoned(): void
    {
        $job = $this->promised('2026-12-11');
        $this->plan();
        $reckoned = (int) DB::table('reckoned_minutes')->where(['job_id' => $job->id, 'station' => 'safety'])->value('minutes');
        self::assertGreaterThan(0, $reckoned);
        $this->travelTo(Carbon::parse('2026-12-07T09:10:00+01:00'));
        $this->plan();
        self::assertSame(
            $reckoned,
            (int) DB::table('reckoned_minutes')->where('job_id', $job->id)->value('minutes'),
            'the first plan counts',
        );
        $this->spell($job, 'safety', '09:20', '09:27');
        $job->update(['station' => 'diagnosis']);
        $this->spell($job, 'diagnosis', '09:30', '09:50');
        $this->travelTo(Carbon::parse('2026-12-07T17:00:00+01:00'));
        $stations = array_column($this->told('went')['stations'], null, 'station');
        self::assertSame([7, 1, 7, $reckoned], [
            $stations['safety']['spent'], $stations['safety']['jobs'], $stations['safety']['took'], $stations['safety']['reckoned'],
        ]);
        self::assertSame([20, 0], [$stations['diagnosis']['spent'], $stations['diagnosis']['jobs']], 'it is not over there');
        // only what falls into the days asked for
        self::assertSame([], $this->told('went?from=2026-12-01&days=3')['stations']);
    }

    public function test_what_was_waited_for_is_counted_with_its_time_and_the_dearest_is_named(): void
    {
        Setting::put('print_hour_minor', 300);
        $farm = $this->job($this->machine('tern-220', 'farm'), $this->bo);
        $owner = $this->promised('2026-12-31');
        $this->wait($farm, 'part', 'a fan');
        $this->wait($owner, 'person', 'Ada');
        $this->travelTo(Carbon::parse('2026-12-09T09:00:00+01:00'));
        $this->wait($farm, null, null);
        $this->travelTo(Carbon::parse('2026-12-10T09:00:00+01:00'));
        self::assertSame(
            [['hands', true], ['part', false], ['hands', false], ['person', true]],
            DB::table('job_waits')->orderBy('id')->get()->map(static fn (object $w): array => [(string) $w->cause, $w->ended_at === null])
                ->sortBy(
                    static fn (array $w): int => array_search(
                        $w,
                        [['hands', true], ['part', false], ['hands', false], ['person', true]],
                        true,
                    ) ?: 0,
                )
                ->unique()->values()->all(),
        );
        $this->actingAs($this->ada);
        $went = $this->told('went');
        $waits = array_column($went['waits'], null, 'cause');
        self::assertEqualsWithDelta(2.0, $waits['part']['days'], 0.01);
        self::assertEqualsWithDelta(3.0, $waits['person']['days'], 0.01);
        self::assertEqualsWithDelta(1.0, $waits['hands']['days'], 0.01);
        // two days of eight hours at 3.00 each
        self::assertSame(4800, $waits['part']['costMinor']);
        self::assertStringStartsWith('Waiting for a part costs most: 1 machine, 2.0 machine-days, 48.00 EUR', (string) $went['dearest']);
        $this->actingAs($this->person(Role::Technician));
        $plain = $this->told('went');
        self::assertNull($plain['waits'][0]['costMinor']);
        self::assertStringNotContainsString('EUR', (string) $plain['dearest']);
    }

    public function test_promises_that_were_kept_and_those_that_were_not(): void
    {
        foreach ([
            ['2026-12-07', '2026-12-07T12:00'],
            ['2026-12-07', '2026-12-08T09:00'],
            ['2026-12-08', null],
            ['2026-12-11', null],
        ] as [$day, $out]) {
            $job = $this->promised($day);
            $job->update(['finished_at' => $out === null ? null : Carbon::parse("{$out}:00+01:00")->utc()]);
        }
        $this->travelTo(Carbon::parse('2026-12-09T12:00:00+01:00'));
        $went = $this->told('went');
        self::assertSame([3, 1], [$went['promised'], $went['kept']], 'the one for Friday is not over');
    }

    public function test_work_in_the_shop_is_rate_times_time(): void
    {
        $jobs = [];
        foreach ([0, 1, 2, 3] as $day) {
            $this->travelTo(Carbon::parse('2026-12-07T09:00:00+01:00')->addDays($day));
            $jobs[] = $this->promised('2026-12-20');
        }
        foreach ([[0, '2026-12-09T15:00'], [1, '2026-12-10T11:00'], [2, '2026-12-11T16:00']] as [$i, $out]) {
            $jobs[$i]->update(['finished_at' => Carbon::parse("{$out}:00+01:00")->utc()]);
        }
        $this->travelTo(Carbon::parse('2026-12-13T23:00:00+01:00'));
        $went = $this->told('went');
        self::assertSame([4, 3], [$went['came'], $went['left']]);
        self::assertEqualsWithDelta($went['work'], $went['rate'] * $went['time'], 0.02 * $went['work']);
        // 2.25, 2.083, 2.29 and 3.58 days of about seven
        self::assertEqualsWithDelta((54 + 50 + 55 + 86) / 24 / (6 + 23 / 24), $went['work'], 0.02);
        $this->assertRefused($this->send('GET', '/plan/went?days=900'), 422, 'days', '92');
        $this->assertRefused($this->send('GET', '/plan/went?from=yesterdayish'), 422, 'from', '');
    }

    private function spell(Job $job, string $station, string $from, string $to): void
    {
        WorkSpell::query()->create([
            'job_id' => $job->id,
            'person_id' => $this->bo->id,
            'station' => $station,
            'began_at' => Carbon::parse("2026-12-07T{$from}:00+01:00")->utc(),
            'last_seen_at' => Carbon::parse("2026-12-07T{$to}:00+01:00")->utc(),
            'ended_at' => Carbon::parse("2026-12-07T{$to}:00+01:00")->utc(),
        ]);
    }

    private function wait(Job $job, ?string $for, ?string $note): void
    {
        $body = ['waitsFor' => $for, 'waitsNote' => $note, 'version' => $job->refresh()->version];
        $this->send('PATCH', "/jobs/{$job->id}", $body)->assertOk();
    }
}
