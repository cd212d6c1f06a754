<?php

declare(strict_types=1);

namespace App\Api\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Forgets the keys of writes that nobody sends again any more, with the answers kept for them. */
final class PruneCommand extends Command
{
    public const DAYS = 7;

    private const EVENTS_DAYS = 400;

    protected $signature = 'odd-bench:prune';

    protected $description = 'Forget the keys of writes older than '.self::DAYS.' days, and sessions that have ended';

    public function handle(): int
    {
        do {
            $gone = DB::delete(
                'DELETE FROM once_keys WHERE ctid IN (SELECT ctid FROM once_keys WHERE created_at < ? ORDER BY created_at LIMIT 5000)',
                [now()->subDays(self::DAYS)],
            );
        } while ($gone > 0);

        DB::table('sessions')->where('last_activity', '<', now()->getTimestamp() - 60 * Config::integer('session.lifetime'))->delete();
        DB::table('security_events')->where('at', '<', now()->subDays(self::EVENTS_DAYS))->delete();
        foreach (File::glob(storage_path('framework/tries/*/*/*')) as $tries) {
            if (File::lastModified($tries) < now()->subDay()->getTimestamp()) {
                File::delete($tries);
            }
        }
        DB::table('cache')->where('expiration', '<', now()->getTimestamp())->delete();

        return self::SUCCESS;
    }
}
