<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Job;
use App\Plan\Making\PlanRow;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Sample;

/** A shop that stood at an earlier landing comes to today's tables with everything in it, and they are the same as fresh ones. */
final class SchemaTest extends BenchTestCase
{
    /** @return iterable<string, array{string}> */
    public static function landings(): iterable
    {
        $all = glob(dirname(__DIR__).'/Schemas/landing-*.sql') ?: [];
        $between = glob(dirname(__DIR__).'/Schemas/between-*.sql') ?: [];
        // the last two, where what is being made now breaks first, and a fifth of the others
        foreach (array_unique([...Sample::of([...array_slice($all, 0, -2), ...$between]), ...array_slice($all, -2)]) as $path) {
            yield basename($path, '.sql') => [$path];
        }
    }

    #[DataProvider('landings')]
    public function test_an_older_shop_comes_to_the_same_tables(string $path): void
    {
        $fresh = $this->tables();
        $this->inOldShop(function () use ($path, $fresh): void {
            $this->load($path);
            $parts = DB::table('parts')->orderBy('id')->get(['number', 'on_hand', 'value_minor'])->toArray();
            self::assertSame(0, $this->artisan('odd-bench:migrate'));

            self::assertSame([], array_diff($fresh, $this->tables()), 'missing');
            self::assertSame([], array_diff($this->tables(), $fresh), 'left over');
            self::assertEquals($parts, DB::table('parts')->orderBy('id')->get(['number', 'on_hand', 'value_minor'])->toArray());
            self::assertSame(8, (int) DB::table('bin_stocks')->where('part_id', 1)->value('on_hand'));
            self::assertEquals(
                [['tern-220', 1]],
                DB::table('part_uses')->get()->map(static fn (object $u): array => [$u->family, $u->times])->all(),
                'two uses and one put back',
            );
        });
    }

    public function test_what_a_machine_came_with_gets_its_end_and_two_parts_never_sit_in_one_place(): void
    {
        $this->inOldShop(function (): void {
            $this->load(dirname(__DIR__).'/Schemas/landing-16.sql');
            $fit = static fn (array $with): int => (int) DB::table('fittings')->insertGetId($with + [
                'machine_id' => 1, 'position' => 'liner', 'part_id' => 1, 'fitted_at' => '2026-11-20 10:00:00+00', 'fitted_hours' => 1200,
            ]);
            $first = $fit(['movement_id' => 3]);
            self::assertSame(0, $this->artisan('odd-bench:migrate'));

            $of = DB::table('fittings')->orderBy('fitted_hours')->get()->map(static fn (object $f): array => [
                $f->movement_id, (float) $f->fitted_hours, $f->removed_hours === null ? null : (float) $f->removed_hours,
                $f->had_hours === null ? null : (float) $f->had_hours, $f->removed_job_id,
            ])->all();
            self::assertEquals([
                // it came with a machine whose counter showed 1200 h when it was read first: nobody knows its age
                [null, 0.0, 1200.0, null, 1],
                [3, 1200.0, null, 0.0, null],
            ], $of);
            self::assertNotNull(DB::table('fittings')->where('id', $first)->value('replaces_id'));
            $this->expectExceptionMessage('fittings_one');
            $fit([]);
        });
    }

    public function test_a_list_of_looks_goes_on_as_a_campaign(): void
    {
        $this->inOldShop(function (): void {
            $this->load(dirname(__DIR__).'/Schemas/landing-17.sql');
            self::assertSame(0, $this->artisan('odd-bench:migrate'));

            self::assertSame(
                [['dust-under-printer', 'fault', 1, false]],
                DB::table('campaigns')->get()->map(static fn (object $c): array => [
                    $c->fault,
                    $c->origin,
                    $c->job_id,
                    $c->dangerous,
                ])->all(),
            );
            self::assertSame([[1, true, 'thick', 1.0], [2, null, null, 1.0]], DB::table('looks_owed')->orderBy('id')->get()->map(
                static fn (object $look): array => [$look->machine_id, $look->affected, $look->note, (float) $look->harm],
            )->all());
        });
    }

    public function test_a_plan_that_stood_goes_on_and_nobody_has_said_of_a_wait_whether_it_is_hot(): void
    {
        $this->inOldShop(function (): void {
            $this->load(dirname(__DIR__).'/Schemas/between-c.sql');
            self::assertSame(0, $this->artisan('odd-bench:migrate'));

            $plan = PlanRow::query()->sole();
            self::assertSame(['The first plan.', []], [$plan->because, $plan->looked]);
            $waits = Job::query()->where('waits_for', 'itself')->sole();
            self::assertSame(['a soak', null], [$waits->waits_note, $waits->waits_hot]);
            $this->expectExceptionMessage('looked');
            DB::table('plans')->insert([
                'made_at' => now(), 'took_ms' => 1, 'because' => '', 'changes' => '{}', 'versions' => '{}', 'body' => '{}',
            ]);
        });
    }

    public function test_tables_of_a_newer_release_are_left_alone(): void
    {
        $this->inOldShop(function (): void {
            $this->load(dirname(__DIR__).'/Schemas/landing-10.sql');
            DB::table('migrations')->insert(['migration' => '2031_01_01_000001_of_tomorrow', 'batch' => 9]);
            $before = $this->tables();
            self::assertSame(1, $this->artisan('odd-bench:migrate'));
            self::assertSame($before, $this->tables());
        });
    }

    public function test_a_migration_that_has_landed_is_never_changed(): void
    {
        $kept = array_filter(explode("\n", (string) file_get_contents(dirname(__DIR__).'/Schemas/landed.txt')));
        foreach ($kept as $line) {
            [$hash, $name] = explode('  ', $line);
            self::assertSame(
                $hash,
                hash_file('sha256', database_path("migrations/{$name}")),
                "{$name} has landed: shops have run it. Put it back as it was and add a new one.",
            );
        }
        self::assertGreaterThan(15, count($kept));
    }

    /** A database of its own for it: what is read there is committed. */
    private function inOldShop(\Closure $do): void
    {
        $connection = DB::connection();
        config(['database.connections.old' => ['database' => 'odd_bench_old'] + config('database.connections.pgsql')]);
        DB::setDefaultConnection('old');
        try {
            DB::unprepared('DROP SCHEMA public CASCADE; CREATE SCHEMA public');
            $do();
        } finally {
            DB::purge('old');
            DB::setDefaultConnection($connection->getName() ?? 'pgsql');
        }
    }

    private function load(string $path): void
    {
        // pg_dump empties the search path of its session
        DB::unprepared((string) preg_replace('/^CREATE SCHEMA public;|^COMMENT ON .*;$/m', '', (string) file_get_contents($path)));
        DB::purge('old');
    }

    /** @return list<string> every column, index and rule, as words */
    private function tables(): array
    {
        $rows = [
            ...DB::select(
                "SELECT table_name || '.' || column_name || ' ' || data_type || coalesce('(' || character_maximum_length || ')', '') || ' ' || is_nullable || ' ' || coalesce(column_default, '') AS words FROM information_schema.columns WHERE table_schema = 'public'",
            ),
            ...DB::select("SELECT indexdef AS words FROM pg_indexes WHERE schemaname = 'public'"),
            ...DB::select(
                "SELECT conrelid::regclass || ' ' || conname || ' ' || pg_get_constraintdef(oid) AS words FROM pg_constraint WHERE connamespace = 'public'::regnamespace",
            ),
        ];
        // a rule that was dumped and read back is the same rule with other brackets
        $words = array_map(
            static fn (object $row): string => (string) preg_replace(
                '/::(character varying|text|double precision)(\[\])?|[()]/',
                '',
                (string) $row->words,
            ),
            $rows,
        );
        sort($words);

        return $words;
    }
}
