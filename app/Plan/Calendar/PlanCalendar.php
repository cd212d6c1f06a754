<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Plan\Making\PlanRow;
use App\Shop\Person;
use App\Shop\Setting;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Http\Response;
use Sabre\VObject\Component\VCalendar;

/** What the plan gives somebody to do, as a calendar (RFC 5545). It names machines and steps, never owners. */
final class PlanCalendar
{
    private const MINUTES_BETWEEN_LOOKS = 15;

    public function show(string $secret): Response
    {
        $person = CalendarAddress::whose($secret) ?? abort(404);

        return response($this->of($person)->serialize(), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'inline; filename="bench.ics"',
            'Cache-Control' => 'private, no-store',
        ]);
    }

    public function of(Person $person): VCalendar
    {
        $calendar = new VCalendar([
            'PRODID' => '-//Odd Bench//Plan//EN',
            'X-WR-CALNAME' => sprintf('%s, %s', Setting::text('shop_name'), $person->name),
            'REFRESH-INTERVAL' => sprintf('PT%dM', self::MINUTES_BETWEEN_LOOKS),
        ]);
        $row = PlanRow::query()->orderByDesc('id')->first();
        /** @var list<array<string, mixed>> $steps */
        $steps = $row->body['steps'] ?? [];
        $utc = new DateTimeZone('UTC');
        foreach ($steps as $step) {
            if ($step['person'] !== $person->id) {
                continue;
            }
            $beside = $step['watch'] === 'beside' && $step['aloneUntil'] !== $step['end'];
            $calendar->add('VEVENT', [
                'UID' => sprintf('job-%d-%s@odd-bench', $step['job'], substr(hash('sha256', (string) $step['what']), 0, 16)),
                'DTSTAMP' => ($row->made_at ?? now())->toDateTimeImmutable()->setTimezone($utc),
                'DTSTART' => CarbonImmutable::parse((string) $step['start'])->toDateTimeImmutable()->setTimezone($utc),
                'DTEND' => CarbonImmutable::parse(
                    (string) ($beside ? $step['aloneUntil'] : $step['end']),
                )->toDateTimeImmutable()->setTimezone($utc),
                'SUMMARY' => "{$step['tag']}: {$step['what']}",
                'DESCRIPTION' => $step['aloneUntil'] === $step['end'] || $beside
                    ? (string) $step['because']
                    : sprintf('Then it goes by itself until %s. %s', $this->clock((string) $step['aloneUntil']), $step['because']),
            ]);
        }
        $off = DayOff::query()->where(static fn ($q) => $q->whereNull('person_id')->orWhere('person_id', $person->id))
            ->where('last', '>=', now()->subDay()->toDateString())->orderBy('first')->limit(100)->get();
        foreach ($off as $one) {
            $this->away($calendar, $one);
        }

        return $calendar;
    }

    private function away(VCalendar $calendar, DayOff $off): void
    {
        $event = $calendar->createComponent('VEVENT', [
            'UID' => "off-{$off->id}@odd-bench",
            'DTSTAMP' => now()->utc()->toDateTimeImmutable(),
            'SUMMARY' => $off->person_id === null ? "Shut: {$off->why}" : "Away: {$off->why}",
        ]);
        $calendar->add($event);
        if ($off->from_minute !== null) {
            $day = CarbonImmutable::parse($off->first->toDateString(), Setting::text('zone'));
            foreach (['DTSTART' => $off->from_minute, 'DTEND' => (int) $off->to_minute] as $key => $minute) {
                $event->add($key, $day->setTime(intdiv($minute, 60), $minute % 60)->utc()->toDateTimeImmutable());
            }

            return;
        }
        // the end of whole days is the day after (RFC 5545, 3.6.1)
        $event->add('DTSTART', new DateTimeImmutable($off->first->toDateString()), ['VALUE' => 'DATE']);
        $event->add('DTEND', new DateTimeImmutable($off->last->copy()->addDay()->toDateString()), ['VALUE' => 'DATE']);
    }

    private function clock(string $at): string
    {
        return CarbonImmutable::parse($at)->setTimezone(Setting::text('zone'))->format('D H:i');
    }
}
