<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Machines\Machine;
use App\Shop\Backups\Tool;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/**
 * The played story as it is kept with the code: its tables as they stood when it was played, and the files they speak of. Playing
 * takes a minute or two, putting this in place a second; `KeptStoryTest` plays it anew and compares.
 */
final class KeptStory
{
    /** Who is logged in, what is kept to be quick, and what is worked out from the story on the day it is shown. */
    public const NOT_KEPT = [
        'cache', 'cache_locks', 'class_risks', 'life_fits', 'machine_risks', 'once_keys', 'plan_news', 'plans', 'position_risks',
        'queued_failures', 'queued_jobs', 'sessions',
    ];

    /** Keys and salts that are drawn, not played. */
    public const DRAWN = ['machines' => ['page_key'], 'people' => ['password', 'calendar_secret']];

    private const HOUSE = 'demo';

    private const TABLES = 'story.sql.gz';

    /** Keeps the story that stands in the database, for the release that is being made. */
    public static function keep(): int
    {
        $file = self::scratch();
        $command = ['--format=plain', '--no-owner', '--no-privileges', '--no-comments', "--file={$file}"];
        foreach (self::NOT_KEPT as $table) {
            $command[] = "--exclude-table-data=public.{$table}";
        }
        self::postgres('pg_dump', $command, 'The story could not be kept');
        $packed = (string) gzencode((string) file_get_contents($file), 9);
        File::delete($file);
        File::ensureDirectoryExists(database_path(self::HOUSE));
        File::put(database_path(self::HOUSE.'/'.self::TABLES), $packed);
        File::deleteDirectory(database_path(self::HOUSE.'/files'));
        foreach (Storage::allFiles() as $name) {
            File::ensureDirectoryExists(dirname(database_path(self::HOUSE."/files/{$name}")));
            File::put(database_path(self::HOUSE."/files/{$name}"), (string) Storage::get($name));
        }

        return strlen($packed);
    }

    /** Puts it in place of whatever tables there are; its dates are those it was played on, its tables those of its release. */
    public static function putInPlace(): void
    {
        $file = self::scratch();
        File::put($file, (string) gzdecode((string) File::get(database_path(self::HOUSE.'/'.self::TABLES))));
        DB::unprepared('DROP SCHEMA public CASCADE; CREATE SCHEMA public');
        self::postgres(
            'psql',
            ['-X', '-q', '--single-transaction', '-v', 'ON_ERROR_STOP=1', '-o', '/dev/null', '-f', $file],
            'The story could not be put in place',
        );
        File::delete($file);
        foreach (File::allFiles(database_path(self::HOUSE.'/files')) as $kept) {
            Storage::put($kept->getRelativePathname(), $kept->getContents());
        }
        DB::purge();
    }

    /** Everybody has this story: the keys of its owners' pages are this shop's own. */
    public static function drawKeys(): void
    {
        foreach (Machine::query()->pluck('id') as $id) {
            DB::table('machines')->where('id', $id)->update(['page_key' => Machine::freshKey()]);
        }
    }

    /** @param  list<string>  $options */
    private static function postgres(string $program, array $options, string $what): void
    {
        $of = Config::array('database.connections.pgsql');
        $where = ["--host={$of['host']}", "--port={$of['port']}", "--username={$of['username']}", "--dbname={$of['database']}"];
        Tool::run(
            $what,
            [Tool::POSTGRES."/{$program}", ...$where, ...$options],
            sys_get_temp_dir(),
            ['PGPASSWORD' => (string) $of['password']],
        );
    }

    private static function scratch(): string
    {
        return (string) tempnam(sys_get_temp_dir(), 'odd-bench-story');
    }
}
