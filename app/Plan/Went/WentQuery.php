<?php

declare(strict_types=1);

namespace App\Plan\Went;

use App\Intake\Job;
use App\Plan\Ahead\Weights;
use App\Shop\Ability;
use App\Shop\Setting;
use App\Shop\ShopDay;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use OddBench\Intake\Station;
use OddBench\Plan\Little;

/** How some days went: hands against what was reckoned, what was waited for and what that cost, promises, and whether it adds up. */
final readonly class WentQuery
{
    public const WEEK = 7;

    private const CAUSES = [
        'hands' => 'hands',
        'part' => 'a part',
        'person' => 'a person',
        'owner' => 'its owner',
        'claim' => 'a claim',
        'itself' => 'nothing: it ran by itself',
    ];

    public function __construct(private ShopDay $day, private Weights $weights)
    {
    }

    /** @param  string|null  $from  a day; nothing: so that the days end with today */
    public function read(?string $from, int $days): WentView
    {
        $zone = $this->day->zone();
        $start = $from === null
            ? CarbonImmutable::now($zone)->startOfDay()->subDays($days - 1)
            : CarbonImmutable::parse($from, $zone)->startOfDay();
        $end = $start->addDays($days);
        $end = $end->isFuture() ? CarbonImmutable::now($zone) : $end;
        $end = $end->gt($start) ? $end : $start->addMinute();
        $waits = $this->waits($start, $end);
        [$promised, $kept] = $this->promises($start, $end);
        $little = $this->little($start, $end);

        return new WentView(
            $start->toDateString(),
            $end->toDateString(),
            $this->stations($start, $end),
            $waits,
            $this->dearest($waits),
            $promised,
            $kept,
            round($little->work, 2),
            round($little->rate, 3),
            round($little->time, 2),
            $little->came,
            $little->left,
            round($little->stay, 1),
        );
    }

    /** @return list<StationMinutesView> */
    private function stations(CarbonImmutable $start, CarbonImmutable $end): array
    {
        $took = 'extract(epoch FROM coalesce(ended_at, last_seen_at) - began_at) / 60';
        $spent = DB::table('work_spells')->where('began_at', '<', $end)->whereRaw(
            'coalesce(ended_at, last_seen_at) > ?',
            [$start->toIso8601String()],
        )
            ->groupBy('station')->selectRaw(
                'station, sum(extract(epoch FROM least(coalesce(ended_at, last_seen_at), ?::timestamptz) - greatest(began_at, ?::timestamptz)) / 60) AS minutes',
                [$end->toIso8601String(), $start->toIso8601String()],
            )->pluck('minutes', 'station');
        $through = DB::query()->fromSub(
            DB::table('work_spells')->groupBy('job_id', 'station')
                ->selectRaw("job_id, station, sum({$took}) AS took, max(coalesce(ended_at, last_seen_at)) AS last")
                ->havingRaw('max(coalesce(ended_at, last_seen_at)) BETWEEN ? AND ?', [$start->toIso8601String(), $end->toIso8601String()]),
            's',
        )->join('jobs', 'jobs.id', '=', 's.job_id')
            ->join('reckoned_minutes AS r', static fn ($on) => $on->on('r.job_id', '=', 's.job_id')->on('r.station', '=', 's.station'))
            ->where(static fn ($q) => $q->whereNotNull('jobs.finished_at')->orWhereColumn('jobs.station', '<>', 's.station'))
            ->groupBy('s.station')->selectRaw(
                's.station, count(*) AS jobs, sum(s.took) AS took, sum(r.minutes) AS reckoned',
            )->get()->keyBy('station');
        $views = [];
        foreach (Station::cases() as $station) {
            $row = $through->get($station->value);
            if (isset($spent[$station->value]) || $row !== null) {
                $views[] = new StationMinutesView(
                    $station->value,
                    $station->words(),
                    (int) round((float) ($spent[$station->value] ?? 0)),
                    (int) ($row->jobs ?? 0),
                    (int) round((float) ($row->took ?? 0)),
                    (int) ($row->reckoned ?? 0),
                );
            }
        }

        return $views;
    }

    /** @return list<WaitView> */
    private function waits(CarbonImmutable $start, CarbonImmutable $end): array
    {
        $rows = DB::table('job_waits')->where('began_at', '<', $end)
            ->where(static fn ($q) => $q->whereNull('ended_at')->orWhere('ended_at', '>', $start))
            ->groupBy('job_id', 'cause')->selectRaw(
                'job_id, cause, sum(extract(epoch FROM least(coalesce(ended_at, ?::timestamptz), ?::timestamptz) - greatest(began_at, ?::timestamptz))) / 86400 AS days',
                [$end->toIso8601String(), $end->toIso8601String(), $start->toIso8601String()],
            )->get();
        $jobs = Job::query()->with('machine')->findMany($rows->pluck('job_id')->unique()->all())->keyBy('id');
        $perDay = $this->weights->perDay($jobs);
        $sums = [];
        foreach ($rows as $row) {
            $job = $jobs->get((int) $row->job_id);
            if ($job === null) {
                continue;
            }
            $of = $sums[(string) $row->cause] ?? [0, 0.0, 0.0];
            $days = (float) $row->days;
            $sums[(string) $row->cause] = [$of[0] + 1, $of[1] + $days, $of[2] + $days * $perDay[$job->id]];
        }
        uasort($sums, static fn (array $a, array $b): int => $b[2] <=> $a[2]);
        $money = Gate::allows(Ability::SeeMoney);
        $views = [];
        foreach ($sums as $cause => [$count, $days, $cost]) {
            $views[] = new WaitView($cause, self::CAUSES[$cause] ?? $cause, $count, round($days, 1), $money ? (int) round($cost) : null);
        }

        return $views;
    }

    /** @param  list<WaitView>  $waits  the dearest first */
    private function dearest(array $waits): ?string
    {
        foreach ($waits as $wait) {
            if ($wait->cause !== 'itself' && $wait->days > 0.0) {
                return sprintf(
                    'Waiting for %s costs most: %d %s, %s machine-days%s.',
                    $wait->name,
                    $wait->jobs,
                    $wait->jobs === 1 ? 'machine' : 'machines',
                    number_format($wait->days, 1),
                    $wait->costMinor === null ? '' : sprintf(
                        ', %s %s',
                        number_format($wait->costMinor / 100, 2),
                        Setting::text('currency'),
                    ),
                );
            }
        }

        return null;
    }

    /** @return array{int, int} */
    private function promises(CarbonImmutable $start, CarbonImmutable $end): array
    {
        $row = DB::table('jobs')->whereNotNull('promised_for')
            ->where(
                'promised_for',
                '>=',
                $start->toDateString(),
            )->where('promised_for', '<=', min($end->toDateString(), $this->day->today()))
            ->where(fn ($q) => $q->whereNotNull('finished_at')->orWhere('promised_for', '<', $this->day->today()))
            ->selectRaw(
                'count(*) AS promised, count(*) FILTER (WHERE (finished_at AT TIME ZONE ?)::date <= promised_for) AS kept',
                [$this->day->zone()],
            )
            ->first();

        return [(int) ($row->promised ?? 0), (int) ($row->kept ?? 0)];
    }

    private function little(CarbonImmutable $start, CarbonImmutable $end): Little
    {
        $stays = DB::table('jobs')->where('opened_at', '<', $end)
            ->where(static fn ($q) => $q->whereNull('finished_at')->orWhere('finished_at', '>', $start))
            ->get(['opened_at', 'finished_at'])->map(static fn (object $row): array => [
                CarbonImmutable::parse((string) $row->opened_at)->getTimestamp(),
                $row->finished_at === null ? null : CarbonImmutable::parse((string) $row->finished_at)->getTimestamp(),
            ])->all();

        return Little::of(array_values($stays), $start->getTimestamp(), $end->getTimestamp());
    }
}
