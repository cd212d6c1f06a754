<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Machines\Machine;
use App\Machines\RegisterMachine;
use App\Shop\Person;
use App\Stock\Orders\Supplier;
use App\Stock\Shelf\MovementDays;
use Illuminate\Support\Facades\DB;
use OddBench\Knowledge\Knowledge;

/** A shop as large as it may become, made up in the database itself: for measuring, not for looking at. */
final class DemoScale
{
    public const PARTS = 20_000;

    public const MACHINES = 2_000;

    public const JOBS = 100_000;

    public const MOVEMENTS = 2_000_000;

    private const OPEN = 200;

    private const DAYS = 1_095;

    /** One part in ten moves often, the others now and then: about 2000 × 550 and 18000 × 51 movements. */
    private const OFTEN = 550;

    private const SELDOM = 51;

    public function __construct(
        private readonly Knowledge $knowledge,
        private readonly RegisterMachine $register,
        private readonly MovementDays $days,
    ) {
    }

    /** @param  callable(string): mixed  $say */
    public function fill(callable $say): void
    {
        DB::statement('SET synchronous_commit TO off');
        DB::statement('SELECT setseed(0.42)');
        DB::transaction(function () use ($say): void {
            $this->machines();
            $say(sprintf('%d machines', Machine::query()->count()));
            $this->parts();
            $say(sprintf('%d parts', DB::table('parts')->count()));
            $this->jobs();
            $say(sprintf('%d jobs with findings, diagnoses, events and releases', DB::table('jobs')->count()));
            $again = $this->bare('movements');
            $this->movements();
            array_map(DB::statement(...), $again);
            $this->levels();
            $say(sprintf('%d movements', DB::table('movements')->count()));
        });
        $this->days->catchUp();
        DB::statement('VACUUM ANALYZE');
    }

    private function machines(): void
    {
        $families = array_keys($this->knowledge->families);
        $fittings = [];
        for ($i = Machine::query()->count(); $i < self::MACHINES; $i++) {
            $machine = $this->register->register($families[$i % count($families)], sprintf('SC%06d', $i), 'farm', null, null);
            foreach ($this->knowledge->families[$machine->family]->positions as $n => $position) {
                // what it came with ended somewhere on the way, one in three because it failed
                $ended = 100 + ($i * 37 + crc32((string) $n)) % 1300;
                $fittings[] = [
                    'machine_id' => $machine->id, 'position' => $position->code, 'fitted_at' => now()->subDays(300), 'fitted_hours' => 0,
                    'removed_at' => now()->subDays(200), 'removed_hours' => $ended, 'ended_as' => $ended % 3 === 0 ? 'failed' : 'worked',
                ];
                $fittings[] = [
                    'machine_id' => $machine->id, 'position' => $position->code, 'fitted_at' => now()->subDays(200),
                    'fitted_hours' => $ended, 'removed_at' => null, 'removed_hours' => null, 'ended_as' => null,
                ];
            }
        }
        foreach (array_chunk($fittings, 1000) as $chunk) {
            DB::table('fittings')->insert($chunk);
        }
        DB::insert(
            "INSERT INTO counters (machine_id, at, hours, source)
                SELECT m.id, now() - make_interval(days => d), 1500 * (300 - d) / 300, 'typed'
                FROM machines m, unnest(ARRAY[300, 150, 60, 1]) AS d WHERE m.serial LIKE 'SC%'",
        );
        DB::table('machines')->where('serial', 'like', 'SC%')->update([
            'place' => 'service',
            'hours' => 1500,
            'created_at' => now()->subDays(self::DAYS),
        ]);
    }

    private function parts(): void
    {
        $classes = array_keys($this->knowledge->partClasses);
        DB::insert(<<<'SQL'
            INSERT INTO parts (number, name, class, bin, words, search, created_at, updated_at)
            SELECT number, name, class, bin, words, lower(number || ' ' || name || ' ' || words), now() - make_interval(days => ?), now() FROM (
                SELECT 'SC-' || lpad(i::text, 5, '0') AS number,
                    (ARRAY['Short','Long','Hardened','Brass','Steel','Silent','Heavy','Light','Inner','Outer','Left','Right','Upper','Lower'])[1 + i % 14] || ' ' || replace((?::text[])[1 + i % ?], '-', ' ') || ' ' || (10 + i % 90) || ' × ' || (i / 90 % 40) AS name,
                    (?::text[])[1 + i % ?] AS class, 'X' || lpad((i / 10)::text, 4, '0') AS bin,
                    (ARRAY['spare','kit','workshop','reel','set','pair','single'])[1 + i % 7] || ' ' || md5(i::text)::char(6) AS words
                FROM generate_series(1, ?) AS i) AS made
            SQL, [self::DAYS, $this->list($classes), count($classes), $this->list($classes), count($classes), self::PARTS - DB::table('parts')->count()]);
        $suppliers = $this->list(array_map(strval(...), Supplier::query()->orderBy('id')->pluck('id')->all()));
        DB::insert(
            "INSERT INTO supplies (part_id, supplier_id, number, pack, pack_cost_minor, preferred) SELECT id, (?::bigint[])[1 + id % array_length(?::bigint[], 1)], 'M' || id, 1 + id % 10, (100 + id % 900) * (1 + id % 10), true FROM parts WHERE number LIKE 'SC-%'",
            [$suppliers, $suppliers],
        );
    }

    private function jobs(): void
    {
        $person = Person::query()->orderBy('id')->firstOrFail()->id;
        $faults = array_keys($this->knowledge->faults);
        $findings = array_keys(array_filter($this->knowledge->findings, static fn ($f): bool => ! $f->redTag));
        $many = self::JOBS - DB::table('jobs')->count() - self::OPEN;
        $first = (int) DB::table('jobs')->max('id') + 1;
        DB::insert(<<<'SQL'
            INSERT INTO jobs (machine_id, kind, station, station_since, complaint, began, hours, opened_by, opened_at, finished_at)
            SELECT m.id, 'repair', 'release', at, 'It clicks and then nothing comes out', 'crept-in', round((n * 10)::numeric, 1), ?, at - interval '2 days', at
            FROM (SELECT i, i / 1900 AS n, now() - make_interval(days => ?) + make_interval(mins => (i::bigint * ? * 1440 / ?)::int) AS at FROM generate_series(1, ?) AS i) AS g
            JOIN (SELECT id, row_number() OVER (ORDER BY id) - 1 AS r FROM machines WHERE serial LIKE 'SC%') AS m ON m.r = g.i % ?::int
            SQL, [$person, self::DAYS - 3, self::DAYS - 6, $many, $many, DB::table('machines')->where('serial', 'like', 'SC%')->count()]);
        DB::insert(
            "INSERT INTO releases (job_id, destination, person_id, at, warranty_until, warranty_hours) SELECT id, 'service', ?, finished_at, (finished_at + interval '90 days')::date, 500 FROM jobs WHERE id >= ?",
            [$person, $first],
        );
        DB::insert(
            'INSERT INTO diagnoses (job_id, fault, probability, person_id, at) SELECT id, (?::text[])[1 + id % ?], 0.8, ?, opened_at FROM jobs WHERE id >= ?',
            [$this->list($faults), count($faults), $person, $first],
        );
        DB::insert(
            "INSERT INTO job_findings (job_id, code, present, source, person_id, at) SELECT j.id, (?::text[])[1 + (j.id * 7 + k * 13) % ?], k < 2, 'seen', ?, opened_at FROM jobs j, generate_series(0, 2) AS k WHERE j.id >= ?",
            [$this->list($findings), count($findings), $person, $first],
        );
        DB::insert(
            "INSERT INTO job_events (job_id, machine_id, version, station, kind, text, hours, person_id, at) SELECT j.id, j.machine_id, k, 'diagnosis', 'finding', 'Clicks at the drive gear', j.hours, ?, opened_at + make_interval(hours => k) FROM jobs j, generate_series(1, 3) AS k WHERE j.id >= ?",
            [$person, $first],
        );
        // and as many open as a large bench holds
        DB::insert(<<<'SQL'
            INSERT INTO jobs (machine_id, kind, station, station_since, complaint, began, hours, opened_by, opened_at, promised_for, next_step, next_minutes)
            SELECT id, 'repair', 'diagnosis', now() - interval '3 hours', 'It clicks', 'crept-in', 1500, ?, now() - interval '1 day', (now() + make_interval(days => (id % 9)::int))::date, 'Look at the drive gear for dust', 3
            FROM machines m WHERE serial LIKE 'SC%' ORDER BY id LIMIT ?
            SQL, [$person, self::OPEN]);
        DB::update("UPDATE machines SET place = 'bench' WHERE id IN (SELECT machine_id FROM jobs WHERE finished_at IS NULL)");
        DB::insert(
            "INSERT INTO job_findings (job_id, code, present, source, person_id, at) SELECT id, 'gear-clicks', true, 'seen', ?, opened_at FROM jobs WHERE finished_at IS NULL AND id >= ?",
            [$person, $first],
        );
    }

    private function movements(): void
    {
        $person = Person::query()->orderBy('id')->firstOrFail()->id;
        $jobs = DB::table('jobs')->selectRaw('min(id) AS a, max(id) AS z')->whereNotNull('finished_at')->first();
        // ten come, nine go one by one; the order of their numbers is the order of time
        DB::insert(<<<'SQL'
            INSERT INTO movements (part_id, kind, quantity, value_minor, job_id, person_id, at, bin)
            SELECT id, CASE WHEN k % 10 = 0 THEN 'received' ELSE 'used' END, CASE WHEN k % 10 = 0 THEN 10 ELSE -1 END, CASE WHEN k % 10 = 0 THEN 10 ELSE -1 END * (100 + id % 900),
                CASE WHEN k % 10 = 0 THEN NULL ELSE ?::bigint + (id * 31 + k * 17) % ?::bigint END, ?::bigint, at, bin
            FROM (SELECT p.id, p.bin, k, now() - make_interval(days => ?::int) + make_interval(mins => ((k + (p.id % 100) / 100.0) / n * ?::int * 1440)::int) AS at
                FROM (SELECT id, bin, CASE WHEN id % 10 = 0 THEN ?::int ELSE ?::int END AS n FROM parts WHERE number LIKE 'SC-%') AS p, generate_series(0, n - 1) AS k) AS made
            ORDER BY at
            SQL, [(int) ($jobs->a ?? 1), max(1, (int) ($jobs->z ?? 1) - (int) ($jobs->a ?? 1)), $person, self::DAYS - 1, self::DAYS - 2, self::OFTEN, self::SELDOM]);
    }

    private function levels(): void
    {
        DB::update(
            "UPDATE parts SET on_hand = s.n, value_minor = s.value FROM (SELECT part_id, sum(quantity) AS n, sum(value_minor) AS value FROM movements GROUP BY part_id) AS s WHERE s.part_id = parts.id AND number LIKE 'SC-%'",
        );
        DB::statement('TRUNCATE part_uses');
        DB::insert(
            "INSERT INTO part_uses (family, class, part_id, times) SELECT x.family, min(p.class), m.part_id, sum(CASE m.kind WHEN 'used' THEN 1 ELSE -1 END) FROM movements m JOIN parts p ON p.id = m.part_id JOIN jobs j ON j.id = m.job_id JOIN machines x ON x.id = j.machine_id WHERE m.kind IN ('used','returned') GROUP BY x.family, m.part_id",
        );
        DB::insert("INSERT INTO bin_stocks (part_id, bin, on_hand) SELECT id, bin, on_hand FROM parts WHERE number LIKE 'SC-%'");
    }

    /**
     * Takes keys and indexes off a table, so that millions of rows go in fast.
     *
     * @return list<string> what puts them on again
     */
    private function bare(string $table): array
    {
        $again = [];
        foreach (DB::select(
            "SELECT conname, pg_get_constraintdef(oid) AS def FROM pg_constraint WHERE conrelid = ?::regclass AND contype = 'f'",
            [$table],
        ) as $key) {
            DB::statement("ALTER TABLE {$table} DROP CONSTRAINT \"{$key->conname}\"");
            $again[] = "ALTER TABLE {$table} ADD CONSTRAINT \"{$key->conname}\" {$key->def}";
        }
        foreach (DB::select(
            'SELECT c.relname, pg_get_indexdef(i.indexrelid) AS def FROM pg_index i JOIN pg_class c ON c.oid = i.indexrelid WHERE i.indrelid = ?::regclass AND NOT i.indisunique',
            [$table],
        ) as $index) {
            DB::statement("DROP INDEX \"{$index->relname}\"");
            $again[] = (string) $index->def;
        }

        return $again;
    }

    /** @param  list<string>  $words */
    private function list(array $words): string
    {
        return '{'.implode(',', array_map(static fn (string $w): string => '"'.addcslashes($w, '"\\').'"', $words)).'}';
    }
}
