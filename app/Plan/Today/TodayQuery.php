<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Intake\WorkSpell;
use App\Plan\Calendar\ShopHours;
use App\Plan\Making\PlanMove;
use App\Plan\Making\PlanRow;
use App\Plan\PlanNews;
use App\Shop\Person;
use App\Shop\ShopDay;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use OddBench\Intake\Station;

/** Today as the last plan has it, with what was done since the morning. */
final readonly class TodayQuery
{
    private const AHEAD = 60;

    public function __construct(private ShopDay $day, private ShopHours $hours)
    {
    }

    public function read(Person $me): TodayView
    {
        $row = PlanRow::query()->orderByDesc('id')->first();
        $body = $row->body ?? [];
        $zone = $this->hours->zone();
        $now = CarbonImmutable::now()->setTimezone($zone);
        $shown = $this->shown($now);
        $day = $shown->toDateString();
        $moved = PlanMove::query()->get(['job_id', 'step'])->mapWithKeys(
            static fn (PlanMove $m): array => ["{$m->job_id} {$m->step}" => true],
        );
        $steps = array_values(array_map(
            static fn (array $step): array => $step + ['moved' => isset($moved["{$step['job']} {$step['what']}"])],
            self::list($body, 'steps'),
        ));
        $today = static fn (string $at): bool => CarbonImmutable::parse($at)->setTimezone($zone)->toDateString() === $day;
        $done = $shown->isSameDay($now) ? $this->done() : [];
        [$open, $from, $to] = $this->ruler($shown, array_merge(...array_values($done), ...[[]]));
        $people = array_map(function (array $one) use ($steps, $today, $done): PlanPersonView {
            $own = array_filter(
                $steps,
                static fn (array $s): bool => $s['person'] === $one['person'] && ($today($s['start']) || $s['begun']),
            );

            return new PlanPersonView($one['person'], $one['name'], $one['role'], array_values(array_filter(
                $one['spans'],
                static fn (array $span): bool => $today($span[0]),
            )), [
                ...$done[$one['person']] ?? [],
                ...array_values(array_map(static fn (array $s): PlanStepView => PlanStepView::of($s, $s['moved']), $own)),
            ]);
        }, self::list($body, 'free'));
        $mine = array_values(array_filter($steps, static fn (array $s): bool => $s['person'] === $me->id && ! $s['begun']));
        $night = $body['night'] ?? ['at' => null, 'steps' => [], 'not' => []];

        return new TodayView(
            $now->toIso8601String(),
            $day,
            $row?->made_at->toIso8601String(),
            $open,
            $from->toIso8601String(),
            $to->toIso8601String(),
            $people,
            array_values(array_map(
                static fn (array $s): PlanStepView => PlanStepView::of($s, $s['moved']),
                array_filter(
                    $steps,
                    static fn (array $s): bool => $s['aloneUntil'] !== $s['end']
                        && $s['end'] < $to->utc()->toIso8601String()
                        && $today($s['end']),
                ),
            )),
            $this->comesIn(self::list($body, 'parts'), $to),
            $night['at'],
            array_map(self::night(...), [...$night['goesOn'] ?? [], ...$night['steps']]),
            array_map(self::night(...), $night['look'] ?? []),
            array_map(self::night(...), $night['not']),
            $this->holds(self::list($body, 'jobs'), $now),
            $row->because ?? '',
            $row->changes['costs'] ?? [],
            $row->changes['gains'] ?? [],
            PlanWarnings::views(self::list($body, 'warnings')),
            $this->unplanned($body),
            $row === null ? '' : PlanWords::quality($body, $zone),
            $mine === [] ? null : PlanStepView::of($mine[0], $mine[0]['moved']),
            $row === null || PlanNews::waits(),
        );
    }

    /** Today, as long as the shop is open or will be; then the next day it is. */
    private function shown(CarbonImmutable $now): CarbonImmutable
    {
        $spans = $this->hours->shop()->on($now);
        if ($spans !== [] && $now->hour * 60 + $now->minute < $spans[count($spans) - 1][1]) {
            return $now;
        }
        $next = $this->hours->shop()->days($now->addDay(), self::AHEAD)[0] ?? null;

        return $next === null ? $now : CarbonImmutable::parse($next, $now->getTimezone());
    }

    /**
     * Whole hours round the shop's and round what was done, so that everything has a place.
     *
     * @param  list<PlanStepView>  $done
     * @return array{list<array{string, string}>, CarbonImmutable, CarbonImmutable}
     */
    private function ruler(CarbonImmutable $now, array $done): array
    {
        $midnight = $now->startOfDay();
        $spans = array_map(static fn (array $span): array => [
            $midnight->setTime(intdiv($span[0], 60), $span[0] % 60),
            $midnight->setTime(intdiv($span[1], 60), $span[1] % 60),
        ], $this->hours->shop()->on($midnight));
        $from = ($spans[0][0] ?? $midnight->setTime(9, 0))->startOfHour();
        $last = $spans === [] ? $midnight->setTime(17, 0) : $spans[count($spans) - 1][1];
        $to = $last->startOfHour()->addHour();
        foreach ($done as $step) {
            $from = $from->min(CarbonImmutable::parse($step->start)->setTimezone($now->getTimezone())->startOfHour());
        }
        $from = $from->max($midnight);

        return [
            array_map(static fn (array $span): array => [$span[0]->toIso8601String(), $span[1]->toIso8601String()], $spans),
            $from,
            $to,
        ];
    }

    /** @return array<int, list<PlanStepView>> what hands did since the morning, by person */
    private function done(): array
    {
        $done = [];
        $spells = WorkSpell::query()->join('jobs', 'jobs.id', '=', 'work_spells.job_id')
            ->join('machines', 'machines.id', '=', 'jobs.machine_id')
            ->where('began_at', '>=', $this->day->began())->whereNotNull('ended_at')->orderBy('began_at')
            ->toBase()->get(['work_spells.job_id', 'work_spells.person_id', 'tag', 'work_spells.station', 'began_at', 'ended_at']);
        foreach ($spells as $spell) {
            $end = Carbon::parse((string) $spell->ended_at)->toIso8601String();
            $done[(int) $spell->person_id][] = new PlanStepView(
                (int) $spell->job_id,
                (string) $spell->tag,
                Station::from((string) $spell->station)->words(),
                'done',
                Carbon::parse((string) $spell->began_at)->toIso8601String(),
                $end,
                $end,
                'nobody',
                '',
                false,
            );
        }

        return $done;
    }

    /**
     * @param  list<array<string, mixed>>  $parts
     * @return list<ComesInView>
     */
    private function comesIn(array $parts, CarbonImmutable $to): array
    {
        $views = [];
        foreach ($parts as $part) {
            if (CarbonImmutable::parse($part['at'])->lt($to)) {
                $views[] = new ComesInView($part['at'], $part['name'], $part['pieces'], CarbonImmutable::parse($part['at'])->isPast());
            }
        }

        return $views;
    }

    /** @param  array<string, mixed>  $step */
    private static function night(array $step): NightStepView
    {
        return new NightStepView(
            $step['job'],
            $step['tag'],
            $step['what'],
            $step['hands'],
            $step['alone'],
            $step['because'] ?? null,
            $step['until'] ?? null,
        );
    }

    /** @param  list<array<string, mixed>>  $jobs */
    private function holds(array $jobs, CarbonImmutable $now): string
    {
        $tomorrow = $now->addDay()->toDateString();

        return PlanWords::holds(array_values(array_filter(
            $jobs,
            static fn (array $job): bool => $job['due'] !== null && $job['due'] <= $tomorrow,
        )));
    }

    /**
     * @param  array<string, mixed>  $body
     * @return list<UnplannedView>
     */
    private function unplanned(array $body): array
    {
        $tags = array_column(self::list($body, 'jobs'), 'tag', 'job');

        return array_map(
            static fn (array $one): UnplannedView => new UnplannedView(
                $one['job'],
                $tags[$one['job']] ?? '',
                $one['what'],
                $one['because'],
            ),
            self::list($body, 'unplaced'),
        );
    }

    /**
     * @param  array<string, mixed>  $body
     * @return list<array<string, mixed>>
     */
    private static function list(array $body, string $key): array
    {
        /** @var list<array<string, mixed>> */
        return $body[$key] ?? [];
    }
}
