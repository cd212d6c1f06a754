<?php

declare(strict_types=1);

namespace App\Machines;

use DateTimeImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use OddBench\Machines\CounterRuns;
use OddBench\Machines\HourCounter;
use OddBench\Machines\HoursJudged;
use OddBench\Machines\HoursNow;
use OddBench\Machines\UsualUse;

/** The hours of machines now, from the counters that were read. One of these lives as long as a request. */
final class HoursQuery
{
    /** A rate is told from no less than this, in days. */
    private const LEAST_DAYS = 7;

    /** From so many machines on the shop has a rate of its own. */
    private const LEAST_MACHINES = 3;

    /** A machine’s weeks lie this far around its mean, as a share (from memory). */
    private const WITHIN = 0.5;

    private UsualUse|false|null $usual = false;

    /** @var array<int, HoursJudged|null> machine id => */
    private array $known = [];

    private int $knownAt = 0;

    /**
     * @param  Collection<int, Machine>  $machines
     * @return array<int, HoursJudged> machine id =>; those whose counter was ever read
     */
    public function of(Collection $machines): array
    {
        if ($this->knownAt !== now()->getTimestamp()) {
            $this->forget();
        }
        $byId = $machines->keyBy('id');
        $new = $byId->keys()->diff(array_keys($this->known));
        $read = $new->isEmpty() ? new Collection : Counter::query()->whereIn('machine_id', $new)
            ->whereNull('withdrawn_at')
            ->orderBy('at')
            ->orderBy('id')
            ->get()
            ->groupBy('machine_id');
        $this->known += array_fill_keys(array_map(intval(...), $new->all()), null);
        foreach ($read as $machine => $counters) {
            $of = $byId->get($machine);
            $last = $counters->last()?->at;
            $judged = $of === null || $last === null ? null : $this->judge($counters, Carbon::instance(max($last, $of->ranUntil())));
            $this->known[(int) $machine] = $judged;
        }

        return array_filter(array_intersect_key($this->known, $byId->all()));
    }

    /** Something was read or moved: what was worked out before is not true any more. */
    public function forget(): void
    {
        [$this->known, $this->knownAt, $this->usual] = [[], now()->getTimestamp(), false];
    }

    public function ofOne(Machine $machine): ?HoursJudged
    {
        return $this->of(new Collection([$machine]))[$machine->id] ?? null;
    }

    /** @param  Collection<int, Counter>  $counters  of one machine */
    public function judge(Collection $counters, Carbon $at): ?HoursJudged
    {
        $resets = self::resets($counters);
        $known = array_values(array_filter(
            self::read($counters),
            static fn (HourCounter $c): bool => $c->at <= $at->toDateTimeImmutable(),
        ));
        $plausible = (new HoursNow)->plausible($known, $resets);

        return $plausible === [] ? null : (new HoursNow)->judge($plausible, $at->toDateTimeImmutable(), $resets, $this->usual());
    }

    /**
     * @param  Collection<int, Counter>  $counters
     * @return list<HourCounter>
     */
    public static function read(Collection $counters): array
    {
        return array_values($counters->map(
            static fn (Counter $c): HourCounter => new HourCounter($c->at->toDateTimeImmutable(), (float) $c->hours),
        )->all());
    }

    /**
     * @param  Collection<int, Counter>  $counters
     * @return list<DateTimeImmutable>
     */
    public static function resets(Collection $counters): array
    {
        return array_values($counters->filter(static fn (Counter $c): bool => $c->began_anew)
            ->map(static fn (Counter $c): DateTimeImmutable => $c->at->toDateTimeImmutable())->all());
    }

    private function usual(): ?UsualUse
    {
        if ($this->usual !== false) {
            return $this->usual;
        }
        $found = DB::selectOne(<<<'SQL'
            SELECT count(*) AS machines, avg(week) AS mean, coalesce(stddev_samp(week), 0) AS spread FROM (
                SELECT least(168, 7 * 86400 * (max(hours) - min(hours)) / extract(epoch FROM max(at) - min(at))) AS week
                FROM counters WHERE withdrawn_at IS NULL AND at > ?
                GROUP BY machine_id
                HAVING max(at) - min(at) >= make_interval(days => ?) AND NOT bool_or(began_anew)) AS rates
            SQL, [now()->subDays(CounterRuns::DAYS), self::LEAST_DAYS]);
        $mean = is_numeric($found->mean ?? null) ? (float) $found->mean : 0.0;

        return $this->usual = (int) ($found->machines ?? 0) < self::LEAST_MACHINES
            ? null
            : new UsualUse($mean, hypot(self::WITHIN * $mean, (float) $found->spread));
    }
}
