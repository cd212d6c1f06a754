<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Plan\Calendar\DayOff;
use App\Plan\Calendar\Week;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** When the shop is open, who is here when, and what somebody’s own calendar shows of the plan. */
final class CalendarTest extends PlanTestCase
{
    public function test_hours_are_kept_by_a_lead_and_can_be_read(): void
    {
        $week = static fn (array ...$spans): array => array_map(static fn (array $s): array => ['weekday' => $s[0], 'opens' => $s[1], 'closes' => $s[2]], $spans);
        $put = fn (array $body): TestResponse => $this->send('PUT', '/plan/hours', $body);
        $put(['person' => null, 'week' => $week([1, '9:00', '17:00'])])->assertForbidden();
        $this->actingAs($this->ada);
        $this->assertRefused($put(['person' => null, 'week' => []]), 422, 'week', 'open at some hour');
        $this->assertRefused($put(['person' => null, 'week' => $week([1, '9:00', '8:00'])]), 422, 'week.0.closes', 'ends before it begins');
        $this->assertRefused($put(['person' => null, 'week' => $week([1, '9:00', '12:00'], [1, '11:30', '13:00'])]), 422, 'week.1.opens', 'follow each other');
        $this->assertRefused($put(['person' => null, 'week' => $week([1, 'nine', '12:00'])]), 422, 'week.0.opens', 'no time of the clock');
        self::assertSame(10, DB::table('hours')->count(), 'nothing was lost');
        $told = $put(['person' => $this->bo->id, 'week' => $week([1, '13:00', '24:00'], [2, '8:30', '12:00'])])->assertOk()->json();
        self::assertSame(
            [[1, '13:00', '24:00'], [2, '08:30', '12:00']],
            array_map(static fn (array $h): array => [$h['weekday'], $h['opens'], $h['closes']], $told['people'][1]['week']),
        );
        $job = $this->promised('2026-12-08');
        $this->away($this->ada, '2026-12-07', null, null, '2026-12-11')->assertOk();
        $this->plan();
        self::assertSame('2026-12-07T12:00:00+00:00', $this->stepOf($job)['start'], 'Bo comes at one');
    }

    public function test_days_off_are_ones_own_or_a_leads_to_say(): void
    {
        $this->away($this->bo, '2026-12-09', '14:30', null)->assertOk();
        $this->away($this->ada, '2026-12-09', null, null)->assertForbidden();
        $this->away(null, '2026-12-09', null, null)->assertForbidden();
        $this->assertRefused($this->away($this->bo, '2026-12-01', null, null), 422, 'last', 'are over');
        $this->assertRefused($this->away($this->bo, '2026-12-10', null, null, '2026-12-09'), 422, 'last', 'lies before');
        $this->assertRefused($this->away($this->bo, '2026-12-10', '9:00', null, '2026-12-11'), 422, 'from', 'one day only');
        $this->assertRefused($this->away($this->bo, '2026-12-10', '15:00', '14:00'), 422, 'to', 'ends before');
        $this->assertRefused($this->away($this->bo, '2026-12-10', null, null, '2028-12-10'), 422, 'last', 'more than a year');
        self::assertSame([['14:30', '24:00']], DayOff::query()->get()->map(static fn (DayOff $off): array => [
            Week::words((int) $off->from_minute), Week::words((int) $off->to_minute),
        ])->all());
        $own = DayOff::query()->value('id');
        $this->actingAs($this->person());
        $this->send('DELETE', "/plan/days-off/{$own}")->assertForbidden();
        $this->actingAs($this->ada);
        $this->send('DELETE', "/plan/days-off/{$own}")->assertOk()->assertJsonPath('off', []);
    }
}
