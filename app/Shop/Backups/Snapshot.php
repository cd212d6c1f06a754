<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\Finder\Finder;

/** What a shop holds at one moment, while work goes on: its tables, and every file they speak of. */
final readonly class Snapshot
{
    /** Tables nobody misses: who is logged in, and what is kept to be quick. Their rows stay behind. */
    private const PASSING = ['sessions', 'cache', 'cache_locks'];

    /**
     * The files are taken twice, by links that cost no room: before the tables are read, so that one that is thrown away meanwhile
     * is there, and after it, so that one that came in just before is there too.
     *
     * @return array{array<string, int>, list<string>} rows of each table, and the files these speak of that are not there any more
     */
    public function take(string $into): array
    {
        $this->linkFiles($into);
        [$rows, $files] = DB::transaction(function () use ($into): array {
            DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ READ ONLY');
            $snapshot = DB::scalar('SELECT pg_export_snapshot()');
            $rows = self::rows();
            $this->dump($into, is_string($snapshot) ? $snapshot : '');

            return [$rows, ReferredFiles::of(DB::connection())];
        });
        $this->linkFiles($into);

        return [$rows, ReferredFiles::missing($files, "{$into}/files")];
    }

    /** @return array<string, int> of each table whose rows are kept */
    public static function rows(): array
    {
        $rows = [];
        foreach (DB::select("SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public' ORDER BY 1") as $table) {
            if (! in_array($table->name, self::PASSING, true)) {
                $rows[$table->name] = DB::table($table->name)->count();
            }
        }

        return $rows;
    }

    private function dump(string $into, string $snapshot): void
    {
        $of = Config::array('database.connections.pgsql');
        $command = [
            Tool::POSTGRES.'/pg_dump',
            '--format=custom',
            '--no-owner',
            '--no-privileges',
            "--snapshot={$snapshot}",
            "--file={$into}/database.dump",
            "--host={$of['host']}", "--port={$of['port']}", "--username={$of['username']}",
        ];
        foreach (self::PASSING as $table) {
            $command[] = "--exclude-table-data=public.{$table}";
        }
        Tool::run(
            'The tables could not be read',
            [...$command, (string) $of['database']],
            $into,
            ['PGPASSWORD' => (string) $of['password']],
        );
    }

    private function linkFiles(string $into): void
    {
        $kept = Storage::path('');
        if (! is_dir($kept)) {
            return;
        }
        // a part of a file that is just being written is none yet
        foreach (Finder::create()->files()->in($kept)->notName('*.part') as $file) {
            $to = "{$into}/files/{$file->getRelativePathname()}";
            if (! is_file($to) && (is_dir(dirname($to)) || mkdir(dirname($to), 0700, true))) {
                // one that has gone since it was listed: what the tables speak of is looked for when the backup is proved
                @link($file->getPathname(), $to);
            }
        }
    }
}
