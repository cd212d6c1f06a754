<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use Carbon\CarbonInterface;
use DateTimeInterface;
use Illuminate\Database\QueryException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * What the movements of a class of part come to, by day (UTC). Sums are kept up to a movement; those after it are read as they are,
 * so that an answer is the same however far the sums have come.
 */
final class MovementDays
{
    /** SQLSTATE of a lock that was not to be had in time. */
    private const LOCKED = '55P03';

    private const UNDONE = <<<'SQL'
        SELECT p.class, w.at, -1 AS used FROM movements m JOIN movements w ON w.id = m.undoes_id AND w.kind = 'used'
        JOIN parts p ON p.id = w.part_id WHERE m.id > ? AND m.id > (SELECT up_to FROM movement_sums)
        SQL;

    /**
     * Takes into the sums what moved since. Writers are never in its way: it waits a moment for those at work, and else comes again.
     *
     * @return bool whether the sums are up to the last movement now
     */
    public function catchUp(): bool
    {
        try {
            return DB::transaction(static function (): bool {
                DB::statement("SET LOCAL lock_timeout = '500ms'");
                // who has a number and has not written it down yet is waited for
                DB::statement('LOCK TABLE movements IN SHARE MODE');
                $after = DB::table('movement_sums')->lockForUpdate()->sole()->up_to;
                $last = DB::table('movements')->max('id') ?? 0;
                if ($last > $after) {
                    DB::insert(<<<'SQL'
                        INSERT INTO movement_days AS d (class, day, used, value_minor)
                        SELECT class, day, used, value FROM movement_days_of(NULL, ?, ?)
                        ON CONFLICT (class, day) DO UPDATE
                            SET used = d.used + excluded.used, value_minor = d.value_minor + excluded.value_minor
                        SQL, [$after, $last]);
                    DB::table('movement_sums')->update(['up_to' => $last]);
                }

                return true;
            });
        } catch (QueryException $busy) {
            return $busy->getCode() === self::LOCKED ? false : throw $busy;
        }
    }

    /**
     * How often parts of some classes were used and not brought back.
     *
     * @param  list<string>  $classes
     * @return array<string, array{year: int, two: int}> class =>, in the last year and the last two
     */
    public function used(array $classes): array
    {
        $year = now()->subYear();
        $two = now()->subYears(2);
        // said beside the sums’ own word, for the planner then knows how few they are
        $after = DB::table('movement_sums')->sole()->up_to;
        $rows = DB::select(
            <<<'SQL'
                SELECT class, sum(used) AS two, sum(used) FILTER (WHERE at >= ?) AS year FROM (
                    SELECT class, day::timestamp AT TIME ZONE 'UTC' AS at, used FROM movement_days WHERE day >= ?
                    UNION ALL
                    SELECT p.class, m.at, 1 FROM movements m JOIN parts p ON p.id = m.part_id
                    WHERE m.kind = 'used' AND m.id > ? AND m.id > (SELECT up_to FROM movement_sums)
                    UNION ALL
                SQL."\n".self::UNDONE."\n".<<<'SQL'
                ) s WHERE class = ANY(?) AND at >= ? GROUP BY class HAVING sum(used) <> 0
                SQL,
            [self::day($year), self::day($two), $after, $after, '{'.implode(',', $classes).'}', self::day($two)],
        );
        $used = [];
        foreach ($rows as $row) {
            $used[(string) $row->class] = ['year' => (int) $row->year, 'two' => (int) $row->two];
        }

        return $used;
    }

    /** What lay on the shelves at a moment, at cost, in minor units. */
    public function valueAt(DateTimeInterface $moment): int
    {
        $at = Carbon::instance($moment)->utc();
        $after = DB::table('movement_sums')->sole()->up_to;

        return (int) DB::scalar(<<<'SQL'
            SELECT coalesce((SELECT sum(value_minor) FROM movement_days WHERE day < ?), 0)
                + coalesce((SELECT sum(value_minor) FROM movements WHERE at >= ? AND at < ? AND id <= s.up_to), 0)
                + coalesce((SELECT sum(value_minor) FROM movements WHERE id > ? AND id > s.up_to AND at < ?), 0)
            FROM movement_sums s
            SQL, [self::day($at), self::day($at), $at->toIso8601String(), $after, $at->toIso8601String()]);
    }

    private static function day(CarbonInterface $at): string
    {
        return $at->copy()->utc()->startOfDay()->toIso8601String();
    }
}
