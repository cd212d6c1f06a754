<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Shop\Backups\Backup;
use App\Shop\Backups\BackupFolder;
use App\Shop\Backups\BackupKind;
use App\Shop\Backups\ClearBackups;
use App\Shop\Backups\ReferredFiles;
use App\Stock\Parts\Part;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** What a shop is told of its backups, and which of them stay. That they hold everything is drilled, on real clusters. */
final class BackupsTest extends BenchTestCase
{
    public function test_bench_says_when_a_real_shop_has_none_that_was_proved(): void
    {
        $bo = $this->person();
        $said = fn (): string => (string) $this->actingAs($bo)->getJson('/api/v1/bench')->assertOk()->json('backup');
        $this->travel(3)->days();
        self::assertSame('', $said(), 'of a demo nobody keeps any');
        config(['odd-bench.real' => true]);
        self::assertStringContainsString('No backup of this shop was ever proved', $said());
        Backup::query()->create(['kind' => BackupKind::Nightly, 'began_at' => now(), 'file' => 'a.tar', 'bytes' => 1]);
        self::assertStringContainsString('ever proved', $said(), 'one that was not restored is none');
        Backup::query()->create([
            'kind' => BackupKind::Nightly,
            'began_at' => now(),
            'file' => 'b.tar',
            'bytes' => 1,
            'proved_at' => now(),
        ]);
        self::assertSame('', $said());
        Backup::query()->create([
            'kind' => BackupKind::Nightly,
            'began_at' => now()->addMinute(),
            'file' => 'c.tar',
            'bytes' => 1,
            'proved_at' => now(),
            'problem' => 'A file is gone from the shop, and from its backups: parts/a.jpg.',
        ]);
        self::assertStringContainsString('A file is gone', $said(), 'it is kept, and what is missing is said');
        Backup::query()->where('file', 'c.tar')->delete();
        $this->travel(49)->hours();
        self::assertStringContainsString('2 days old', $said());
    }

    public function test_what_somebody_asked_for_stays_and_nights_go_by_turns(): void
    {
        $folder = $this->app->make(BackupFolder::class)->path();
        File::ensureDirectoryExists($folder);
        $names = ['hand-2020-01-01-100000.tar'];
        for ($night = 1; $night <= 9; $night++) {
            $names[] = "nightly-2020-01-0{$night}-022000.tar.age";
            $names[] = "update-2020-01-0{$night}-120000.tar";
        }
        try {
            foreach ($names as $name) {
                File::put("{$folder}/{$name}", '');
            }
            $this->app->make(ClearBackups::class)->clear();
            $left = array_values(array_filter($names, static fn (string $name): bool => is_file("{$folder}/{$name}")));
            self::assertContains('hand-2020-01-01-100000.tar', $left);
            // the newest of January, of two weeks (the first ended on the 5th) and of seven days
            self::assertSame(
                ['03', '04', '05', '06', '07', '08', '09'],
                array_values(array_map(
                    static fn (string $name): string => substr($name, 16, 2),
                    array_filter($left, static fn (string $name): bool => str_starts_with($name, 'nightly')),
                )),
            );
            self::assertCount(5, array_filter($left, static fn (string $name): bool => str_starts_with($name, 'update')));
            self::assertContains('update-2020-01-09-120000.tar', $left);
        } finally {
            File::delete(array_map(static fn (string $name): string => "{$folder}/{$name}", $names));
        }
    }

    public function test_a_file_the_tables_speak_of_that_is_not_there_is_found(): void
    {
        $folder = sys_get_temp_dir().'/odd-bench-'.bin2hex(random_bytes(4));
        File::ensureDirectoryExists("{$folder}/parts");
        $part = Part::query()->create(['number' => 'P-1', 'name' => 'Fan', 'class' => 'fan', 'bin' => 'A1', 'photo' => 'parts/a.jpg']);
        try {
            $missing = ReferredFiles::missing(ReferredFiles::of(DB::connection()), $folder);
            self::assertSame(['parts/a.jpg'], $missing);
            self::assertSame('A file is gone from the shop, and from its backups: parts/a.jpg.', ReferredFiles::words($missing));
            File::put("{$folder}/parts/a.jpg", 'x');
            self::assertSame([], ReferredFiles::missing(ReferredFiles::of(DB::connection()), $folder));
            self::assertNull(ReferredFiles::words([]));
        } finally {
            File::deleteDirectory($folder);
            $part->delete();
        }
    }
}
