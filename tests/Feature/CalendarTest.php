<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Plan\Calendar\DayOff;
use App\Plan\Calendar\PlanCalendar;
use App\Plan\Calendar\ShopHours;
use App\Plan\Calendar\Week;
use App\Plan\Making\PlanRow;
use App\Shop\Role;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Reader;

/** When the shop is open, who is here when, and what somebody’s own calendar shows of the plan. */
final class CalendarTest extends PlanTestCase
{
    public function test_hours_are_kept_by_a_lead_and_can_be_read(): void
    {
        $week = static fn (array ...$spans): array => array_map(
            static fn (array $s): array => ['weekday' => $s[0], 'opens' => $s[1], 'closes' => $s[2]],
            $spans,
        );
        $put = fn (array $body): TestResponse => $this->send('PUT', '/plan/hours', $body);
        $put(['person' => null, 'week' => $week([1, '9:00', '17:00'])])->assertForbidden();
        $this->actingAs($this->ada);
        $this->assertRefused($put(['person' => null, 'week' => []]), 422, 'week', 'open at some hour');
        $this->assertRefused($put(['person' => null, 'week' => $week([1, '9:00', '8:00'])]), 422, 'week.0.closes', 'ends before it begins');
        $this->assertRefused(
            $put(['person' => null, 'week' => $week([1, '9:00', '12:00'], [1, '11:30', '13:00'])]),
            422,
            'week.1.opens',
            'follow each other',
        );
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

    public function test_ones_own_calendar_stands_behind_a_secret_that_is_shown_once_and_can_be_renewed(): void
    {
        $job = $this->promised('2026-12-09');
        $this->away($this->bo, '2026-12-10', '14:00', '16:00')->assertOk();
        $this->away($this->bo, '2026-12-14', null, null, '2026-12-15')->assertOk();
        $this->plan();
        self::assertFalse($this->told('calendar')['subscribed']);
        $first = $this->send('POST', '/plan/calendar-address', key: $key = 'a0000000-0000-4000-8000-000000000001')->assertOk();
        $address = (string) $first->json('address');
        self::assertMatchesRegularExpression('~/calendar/[0-9a-f]{40}\.ics$~', $address);
        $this->send('POST', '/plan/calendar-address', key: $key)->assertOk()->assertJsonPath('address', null);
        self::assertNull($this->told('calendar')['address']);
        self::assertTrue($this->told('calendar')['subscribed']);
        self::assertStringNotContainsString(
            substr($address, -20, 16),
            (string) json_encode(DB::table('people')->get()),
            'only its hash is kept',
        );
        $this->app->make('auth')->guard()->forgetUser();

        $calendar = $this->calendar($address);
        $events = [];
        foreach ($calendar->select('VEVENT') as $event) {
            self::assertInstanceOf(VEvent::class, $event);
            $off = str_starts_with(self::text($event, 'UID'), 'off-') ? ' '.self::text($event, 'DTSTART') : '';
            $events[self::text($event, 'SUMMARY').$off] = $event;
        }
        $steps = array_values(array_filter($this->steps(), fn (array $s): bool => $s['person'] === $this->bo->id));
        self::assertCount(count($steps) + 2, $events);
        foreach ($steps as $step) {
            $event = $events["{$step['tag']}: {$step['what']}"];
            self::assertSame(Carbon::parse($step['start'])->getTimestamp(), self::moment($event, 'DTSTART'));
            self::assertGreaterThanOrEqual(Carbon::parse($step['end'])->getTimestamp(), self::moment($event, 'DTEND'));
        }
        self::assertArrayHasKey('Away: inventory 20261210T130000Z', $events);
        self::assertArrayHasKey('Away: inventory 20261214', $events);
        self::assertStringContainsString($job->machine->tag, implode(' ', array_keys($events)));
        self::assertStringNotContainsString('Halloran', $calendar->serialize(), 'no owner is named');

        $this->get('/calendar/'.str_repeat('0', 40).'.ics')->assertNotFound();
        $this->get('/calendar/short.ics')->assertNotFound();
        $this->actingAs($this->bo->refresh());
        $other = (string) $this->send('POST', '/plan/calendar-address')->json('address');
        $this->get((string) parse_url($address, PHP_URL_PATH))->assertNotFound();
        $this->calendar($other);
        $this->send('DELETE', '/plan/calendar-address')->assertOk()->assertJsonPath('subscribed', false);
        $this->get((string) parse_url($other, PHP_URL_PATH))->assertNotFound();
        $last = (string) $this->send('POST', '/plan/calendar-address')->json('address');
        $this->bo->refresh()->update(['left_at' => now()]);
        $this->get((string) parse_url($last, PHP_URL_PATH))->assertNotFound();
        $this->actingAs($this->person(Role::ReadOnly));
        $this->send('POST', '/plan/calendar-address')->assertForbidden();
    }

    public function test_whole_days_end_on_the_day_after_and_what_is_stood_beside_lasts_as_long(): void
    {
        $this->away($this->bo, '2026-12-14', null, null, '2026-12-15')->assertOk();
        $event = $this->app->make(PlanCalendar::class)->of($this->bo)->select('VEVENT')[0] ?? null;
        self::assertInstanceOf(VEvent::class, $event);
        self::assertSame(['20261214', '20261216'], [self::text($event, 'DTSTART'), self::text($event, 'DTEND')]);
        self::assertSame('DATE', self::property($event, 'DTSTART')->parameters()['VALUE']->getValue());
        $body = ['steps' => [[
            'job' => 1, 'tag' => 'TR-1', 'what' => 'Prove: bed heats and holds', 'person' => $this->bo->id, 'watch' => 'beside', 'because' => 'Hot.',
            'start' => '2026-12-07T08:00:00+00:00', 'end' => '2026-12-07T08:05:00+00:00', 'aloneUntil' => '2026-12-07T08:15:00+00:00',
        ], [
            'job' => 2, 'tag' => 'TR-2', 'what' => 'Dry, then print', 'person' => $this->bo->id, 'watch' => 'nobody', 'because' => '',
            'start' => '2026-12-07T09:00:00+00:00', 'end' => '2026-12-07T09:05:00+00:00', 'aloneUntil' => '2026-12-07T15:05:00+00:00',
        ]]];
        PlanRow::query()->create([
            'made_at' => now(), 'took_ms' => 1, 'because' => '', 'changes' => [], 'versions' => [], 'looked' => [], 'body' => $body,
        ]);
        $text = $this->app->make(PlanCalendar::class)->of($this->bo)->serialize();
        self::assertStringContainsString("DTEND:20261207T081500Z\r\n", $text);
        self::assertStringContainsString("DTEND:20261207T090500Z\r\n", $text);
        self::assertStringContainsString("SUMMARY:TR-2: Dry\\, then print\r\n", $text, 'RFC 5545, 3.3.11');
        self::assertStringContainsString('Then it goes by itself until Mon 16:05.', $text);
        foreach (explode("\r\n", $text) as $line) {
            self::assertLessThanOrEqual(75, strlen($line), 'RFC 5545, 3.1');
        }
    }

    public function test_summer_time_neither_makes_nor_loses_an_hour_of_the_shop(): void
    {
        // the clock goes forward on 28 March 2027 at two
        $this->travelTo(Carbon::parse('2027-03-27T09:00:00+01:00'));
        DB::table('hours')->insert([
            ['person_id' => null, 'weekday' => 7, 'opens' => 60, 'closes' => 300],
        ]);
        $this->anew();
        $spans = $this->app->make(ShopHours::class)->shop()->spans(CarbonImmutable::parse('2027-03-27T23:30:00+01:00'), 2);
        self::assertSame([90, 270], $spans[0], 'three hours by a watch where the clock shows four');
    }

    private function calendar(string $address): VCalendar
    {
        $response = $this->get((string) parse_url($address, PHP_URL_PATH))->assertOk();
        self::assertSame('text/calendar; charset=utf-8', $response->headers->get('Content-Type'));
        $calendar = Reader::read((string) $response->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());

        return $calendar;
    }

    private static function property(VEvent $event, string $name): Property
    {
        $property = $event->select($name)[0] ?? null;
        self::assertInstanceOf(Property::class, $property);

        return $property;
    }

    private static function text(VEvent $event, string $name): string
    {
        return (string) self::property($event, $name);
    }

    private static function moment(VEvent $event, string $name): int
    {
        $property = self::property($event, $name);
        self::assertInstanceOf(DateTime::class, $property);

        return (int) $property->getDateTime()?->getTimestamp();
    }
}
