<?php

declare(strict_types=1);

namespace Tests\Story;

use Database\Seeders\Demo\KeptStory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use Tests\Demo\DemoTestCase;

/**
 * The story that is kept with the code is the one that is played: played anew into a database of its own by this release, and compared
 * with the kept one table by table. What differs is made right by `bin/odd-bench demo --keep`, and the difference is read before it
 * is committed.
 */
final class KeptStoryTest extends DemoTestCase
{
    /** The console’s output is not mocked, so that no mocking library is needed. */
    public $mockConsoleOutput = false;

    private const PLAYED = 'odd_bench_played';

    private const KEPT = 'odd_bench_kept';

    /** Written anew whenever tables are put in place. */
    private const NOT_COMPARED = ['migrations'];

    private const SHOWN = 3;

    public function test_what_is_kept_is_what_is_played(): void
    {
        $this->in(self::KEPT);
        Storage::fake();
        KeptStory::putInPlace();
        self::assertSame(0, $this->artisan('odd-bench:migrate'));
        $kept = $this->tables();
        foreach (DB::table('papers')->pluck('path') as $path) {
            self::assertTrue(Storage::exists((string) $path), "the story speaks of {$path}");
        }
        $this->in(self::PLAYED);
        $played = $this->tables();

        self::assertSame(array_keys($played), array_keys($kept));
        self::assertGreaterThan(40, count(array_filter($played)), 'a story touches most of the tables');
        foreach ($played as $table => $rows) {
            $only = array_diff($rows, $kept[$table]);
            $gone = array_diff($kept[$table], $rows);
            self::assertSame([], [
                ...array_map(static fn (string $row): string => "played: {$row}", array_slice($only, 0, self::SHOWN)),
                ...array_map(static fn (string $row): string => "kept: {$row}", array_slice($gone, 0, self::SHOWN)),
            ], sprintf(
                '%s: %d rows are played otherwise, %d are kept that nobody plays. bin/odd-bench demo --keep',
                $table,
                count($only),
                count($gone),
            ));
            self::assertCount(count($kept[$table]), $rows, $table);
        }
    }

    public function test_it_is_small(): void
    {
        $bytes = 0;
        foreach (File::allFiles(database_path('demo')) as $file) {
            $bytes += $file->getSize();
        }
        self::assertLessThan(1024 * 1024, $bytes);
    }

    private function in(string $database): void
    {
        config(['database.connections.pgsql.database' => $database]);
        DB::purge();
    }

    /** @return array<string, list<string>> table => its rows, but for what is drawn and not played */
    private function tables(): array
    {
        $tables = [];
        foreach (DB::select("SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public' ORDER BY 1") as $table) {
            $name = (string) $table->name;
            if (in_array($name, [...KeptStory::NOT_KEPT, ...self::NOT_COMPARED], true)) {
                continue;
            }
            $rows = [];
            foreach (DB::table($name)->get() as $row) {
                $row = (array) $row;
                foreach (KeptStory::DRAWN[$name] ?? [] as $drawn) {
                    $row[$drawn] = isset($row[$drawn]) ? 'drawn' : null;
                }
                $rows[] = (string) json_encode($row, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
            }
            sort($rows);
            $tables[$name] = $rows;
        }

        return $tables;
    }
}
