<?php

declare(strict_types=1);

namespace App\Plan\Promises;

use App\Diagnosis\Faults\FaultCounts;
use App\Intake\Job;
use App\Intake\JobState;
use App\Plan\Ahead\AheadQuery;
use App\Plan\Ahead\Names;
use App\Plan\Calendar\ShopHours;
use App\Plan\Making\PlanRow;
use App\Shop\Setting;
use App\Stock\Parts\ClassCosts;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Session;
use OddBench\Input\InputError;
use OddBench\Intake\Station;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;
use OddBench\Plan\Earned;
use OddBench\Plan\FinishDays;
use OddBench\Plan\JobAhead;
use OddBench\Plan\PromiseDate;
use OddBench\Plan\WaysAhead;

/** The days that hold in half of all cases, in eight and in nine of ten. */
final readonly class PromiseQuery
{
    private const DAYS = 260;

    /** Of an hour somebody is there, so much is hands on machines (common practice, from memory). */
    private const HANDS_OF_AN_HOUR = 0.7;

    /** Deliveries stray by a quarter of their time where nothing is known (as `LeadTime` has it). */
    private const STRAYS = 0.25;

    public function __construct(
        private Knowledge $knowledge,
        private AheadQuery $ahead,
        private ShopHours $hours,
        private Names $names,
        private ClassCosts $costs,
        private FaultCounts $counts,
    ) {
    }

    /** Of a job that is open. */
    public function of(Job $job, string $kind): PromiseView
    {
        return $this->view($this->ahead->ways(JobState::of($job)), $job->id, $kind);
    }

    /**
     * Of one that is not booked in yet.
     *
     * @param  list<string>  $findings  told at the counter
     */
    public function beforeBooking(string $family, array $findings): PromiseView
    {
        $traits = Traits::of($this->knowledge->families[$family]->traits ?? []);
        $known = array_values(array_filter($findings, fn (string $code): bool => isset($this->knowledge->findings[$code])));
        $ways = null;
        if ($known !== []) {
            try {
                $session = Session::open(CaseFile::read([
                    'traits' => $traits->values,
                    'findings' => array_fill_keys($known, 'present'),
                    'history' => $this->counts->now()->ofFamily($family),
                    'untold' => 'weigh',
                ], $this->knowledge), $this->knowledge);
                $search = $session->searchAhead();
                $ways = WaysAhead::of($this->knowledge, $session->sets(), [], static fn (array $faults): JobAhead => new JobAhead(
                    Station::Intake,
                    $traits,
                    new Earned,
                    search: $search,
                    mend: $faults,
                ));
            } catch (InputError) {
                $ways = null;
            }
        }

        $ways ??= WaysAhead::unknown($this->knowledge, $traits, static fn (array $faults): JobAhead => new JobAhead(
            Station::Intake,
            $traits,
            new Earned,
            search: (float) Setting::whole('find_minutes'),
            mend: $faults,
        ));

        return $this->view($ways, null, 'book-in');
    }

    private function view(WaysAhead $ways, ?int $job, string $kind): PromiseView
    {
        $days = $this->days();
        $dates = array_keys($days);
        $late = $this->late($kind);
        [$mean, $spread] = $this->part($ways);
        [$perDay, $crew] = $this->perDay();
        $finish = (new PromiseDate)->finish(
            // one works on it at a time, all of them on what comes before
            array_map(static fn (array $way): array => [$way[0], (int) ceil($way[1] * $crew), $way[2]], $ways->ways),
            $this->aheadMinutes($job) + (int) round($perDay * $this->gone()),
            $perDay,
            $mean,
            $spread,
            $days,
            $late,
        );
        $first = static fn (float $chance): ?string => ($day = $finish->first($chance)) === null ? null : $dates[$day];

        return new PromiseView(
            $first(0.5),
            $first(0.8),
            $first(0.9),
            $this->chances($finish, $dates),
            PromiseWords::of($first(0.9), $first(0.5), $mean, count($late)),
        );
    }

    /**
     * The days round those that count, each with its chance.
     *
     * @param  list<string>  $dates
     * @return list<DayChanceView>
     */
    private function chances(FinishDays $finish, array $dates): array
    {
        $views = [];
        foreach ($dates as $i => $date) {
            $by = $finish->by($i);
            if ($by >= 0.05) {
                $views[] = new DayChanceView($date, round($by, 3));
            }
            if ($by >= 0.98 || count($views) >= 30) {
                break;
            }
        }

        return $views;
    }

    /** @return non-empty-array<string, int> shop days, with their distance from today on the calendar */
    private function days(): array
    {
        $now = CarbonImmutable::now()->setTimezone($this->hours->zone());
        $days = [];
        foreach ($this->hours->shop()->days($now, self::DAYS) as $date) {
            $days[$date] = (int) $now->startOfDay()->diffInDays(CarbonImmutable::parse($date, $this->hours->zone()));
        }

        return $days === [] ? [$now->toDateString() => 0] : $days;
    }

    /**
     * Minutes of hands of one shop day by who is there in the next two weeks, and how many pairs of hands that is.
     *
     * @return array{int, float}
     */
    private function perDay(): array
    {
        $from = CarbonImmutable::now()->setTimezone($this->hours->zone())->addDay()->startOfDay();
        $minutes = 0;
        foreach ($this->names->people() as $person) {
            $minutes += self::sum($this->hours->free($person, $from, 14));
        }
        $days = max(1, count($this->hours->shop()->days($from, 14)));
        $open = max(1, self::sum($this->hours->shop()->spans($from, 14)));

        return [max(1, min(10_000, (int) round(self::HANDS_OF_AN_HOUR * $minutes / $days))), max(1.0, $minutes / $open)];
    }

    /** What share of today’s hours is over. */
    private function gone(): float
    {
        $now = CarbonImmutable::now()->setTimezone($this->hours->zone());
        $whole = self::sum($this->hours->shop()->on($now));

        return $whole === 0 ? 0.0 : 1 - min($whole, self::sum($this->hours->shop()->spans($now, 1))) / $whole;
    }

    /** @param  list<array{int, int}>  $spans */
    private static function sum(array $spans): int
    {
        return array_sum(array_map(static fn (array $span): int => $span[1] - $span[0], $spans));
    }

    /** Minutes of hands the plan gives to others before a job’s own last step; to all there are, for one that is in no plan. */
    private function aheadMinutes(?int $job): int
    {
        $minutes = 0;
        /** @var list<array{job: int, start: string, end: string}> $steps */
        $steps = PlanRow::query()->orderByDesc('id')->first()->body['steps'] ?? [];
        $own = array_column(array_filter($steps, static fn (array $step): bool => $step['job'] === $job), 'start');
        $last = $own === [] ? null : max($own);
        foreach ($steps as $step) {
            if ($step['job'] !== $job && ($last === null || $step['start'] < $last)) {
                $minutes += max(0, (int) CarbonImmutable::parse($step['start'])->diffInMinutes(CarbonImmutable::parse($step['end'])));
            }
        }

        return min(1_000_000, $minutes);
    }

    /**
     * What the likeliest mend waits for.
     *
     * @return array{float, float} mean and spread, days
     */
    private function part(WaysAhead $ways): array
    {
        $waiting = $this->costs->all()['waiting'];
        $days = 0.0;
        foreach ($ways->likeliest as $fault) {
            foreach (($this->knowledge->faults[$fault] ?? null)?->mend()->parts ?? [] as $class) {
                $days = max($days, $waiting[$class] ?? 0.0);
            }
        }

        return [$days, self::STRAYS * $days];
    }

    /**
     * How many shop days later than thought jobs of a kind were ready, the last ones.
     *
     * @return list<int>
     */
    private function late(string $kind): array
    {
        $rows = DB::table('promises')->join('jobs', 'jobs.id', '=', 'promises.job_id')->whereNotNull('finished_at')
            ->where('promises.kind', $kind)->orderByDesc('promises.id')->limit(60)
            ->get(['half', 'finished_at']);
        $late = [];
        foreach ($rows as $row) {
            $ready = CarbonImmutable::parse((string) $row->finished_at)->setTimezone($this->hours->zone())->startOfDay();
            $half = CarbonImmutable::parse((string) $row->half, $this->hours->zone());
            $days = (int) $half->diffInDays($ready, false);
            // by the calendar: five of seven days are the shop's
            $late[] = max(-60, min(365, (int) round($days * $this->openDaysOfSeven() / 7)));
        }

        return $late;
    }

    private function openDaysOfSeven(): int
    {
        return max(1, count($this->hours->shop()->days(CarbonImmutable::now()->setTimezone($this->hours->zone()), 7)));
    }
}
