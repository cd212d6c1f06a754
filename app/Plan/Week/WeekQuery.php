<?php

declare(strict_types=1);

namespace App\Plan\Week;

use App\Plan\Calendar\DayOff;
use App\Plan\Calendar\ShopHours;
use App\Plan\Making\PlanRow;
use Carbon\CarbonImmutable;

/** The seven days ahead as the last plan has them. */
final readonly class WeekQuery
{
    private const DAYS = 7;

    public function __construct(private ShopHours $hours)
    {
    }

    public function read(): WeekView
    {
        $body = PlanRow::query()->orderByDesc('id')->first()->body ?? [];
        $zone = $this->hours->zone();
        $today = CarbonImmutable::now()->setTimezone($zone)->startOfDay();
        $day = static fn (string $at): string => CarbonImmutable::parse($at)->setTimezone($zone)->toDateString();
        /** @var list<array{person: int, name: string, spans: list<array{string, string}>}> $people */
        $people = $body['free'] ?? [];
        /** @var list<array{person: int|null, start: string, end: string}> $steps */
        $steps = $body['steps'] ?? [];
        /** @var list<array{job: int, tag: string, name: string, ready: string|null, due: string|null, late: int}> $jobs */
        $jobs = $body['jobs'] ?? [];
        /** @var list<array{at: string, name: string, pieces: int}> $parts */
        $parts = $body['parts'] ?? [];
        $off = DayOff::query()->whereNull('person_id')->where('last', '>=', $today->toDateString())->get();
        $days = [];
        for ($i = 0; $i < self::DAYS; $i++) {
            $date = $today->addDays($i);
            $on = $date->toDateString();
            $shut = $this->hours->shop()->on($date) === []
                ? $off->first(
                    static fn (DayOff $o): bool => $o->first->toDateString() <= $on && $o->last->toDateString() >= $on,
                )->why ?? 'shut'
                : null;
            $loads = [];
            foreach ($people as $one) {
                $here = self::minutes(array_filter($one['spans'], static fn (array $span): bool => $day($span[0]) === $on));
                $planned = self::minutes(array_map(
                    static fn (array $s): array => [$s['start'], $s['end']],
                    array_filter($steps, static fn (array $s): bool => $s['person'] === $one['person'] && $day($s['start']) === $on),
                ));
                if ($here > 0) {
                    $loads[] = new LoadView($one['name'], $here, $planned);
                }
            }
            $days[] = new WeekDayView(
                $on,
                $shut,
                $loads,
                self::ready(array_filter($jobs, static fn (array $job): bool => $job['ready'] !== null && $day($job['ready']) === $on)),
                array_values(array_map(
                    static fn (array $part): string => ($part['pieces'] === 1 ? '' : "{$part['pieces']} × ").$part['name'],
                    array_filter($parts, static fn (array $part): bool => $day($part['at']) === $on),
                )),
            );
        }
        $end = $today->addDays(self::DAYS);

        return new WeekView($days, self::ready(array_filter(
            $jobs,
            static fn (array $job): bool => $job['ready'] === null || CarbonImmutable::parse($job['ready'])->gte($end),
        )));
    }

    /** @param  array<int, array{string, string}>  $spans */
    private static function minutes(array $spans): int
    {
        return (int) array_sum(array_map(
            static fn (array $span): float => CarbonImmutable::parse($span[0])->diffInMinutes(CarbonImmutable::parse($span[1])),
            $spans,
        ));
    }

    /**
     * @param  array<int, array{job: int, tag: string, name: string, ready: string|null, due: string|null, late: int}>  $jobs
     * @return list<ReadyView>
     */
    private static function ready(array $jobs): array
    {
        usort($jobs, static fn (array $a, array $b): int => [$a['ready'] ?? '~', $a['job']] <=> [$b['ready'] ?? '~', $b['job']]);

        return array_map(static fn (array $job): ReadyView => new ReadyView(
            $job['job'],
            $job['tag'],
            $job['name'],
            $job['ready'],
            $job['due'],
            $job['late'],
        ), $jobs);
    }
}
