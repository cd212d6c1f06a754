<?php

declare(strict_types=1);

namespace App\Shop\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Brings the tables to this release; a database that a newer one has changed is refused, and left as it is. */
final class MigrateCommand extends Command
{
    protected $signature = 'odd-bench:migrate {--look : only say how the tables stand: new, same, behind, or of a newer release}';

    protected $description = 'Bring the tables of the database to this release';

    public function handle(): int
    {
        $known = array_map(static fn (string $path): string => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);
        $done = Schema::hasTable('migrations') ? DB::table('migrations')->pluck('migration')->all() : [];
        if ($this->option('look')) {
            $this->line(match (true) {
                $done === [] => 'new',
                array_diff($done, $known) !== [] => 'newer',
                array_diff($known, $done) !== [] => 'behind',
                default => 'same',
            });

            return self::SUCCESS;
        }
        $unknown = array_values(array_diff($done, $known));
        if ($unknown !== []) {
            $this->error('This database was changed by a newer release ('.implode(
                ', ',
                array_slice($unknown, 0, 3),
            ).'). This one does not know it, so nothing is touched: start the newer release, or restore a backup of before.');

            return self::FAILURE;
        }
        if ($done === [] && Schema::hasTable('jobs')) {
            $this->error('This database holds tables of something else. Nothing is touched: give Odd Bench a database of its own.');

            return self::FAILURE;
        }

        // all of it or nothing: a shop stays with the tables its release knows
        DB::beginTransaction();
        $status = $this->call('migrate', ['--force' => true]);
        $status === self::SUCCESS ? DB::commit() : DB::rollBack();

        return $status === self::SUCCESS ? $this->call('odd-bench:next-steps') : $status;
    }
}
