<?php

declare(strict_types=1);

namespace App\Proof\Console;

use App\Proof\Runner\Clerk;
use App\Proof\Runner\Clock;
use App\Proof\Runner\Quietly;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Throwable;

final class ClerkCommand extends Command
{
    private const ROUND_US = 200_000;

    /** when no printer is run */
    private const IDLE_US = 500_000;

    protected $signature = 'odd-bench:clerk {--for= : stop after so many seconds}';

    protected $description = 'Carries proof runs between the database and the process that speaks with printers';

    public function handle(Clerk $clerk): int
    {
        $until = $this->option('for') === null ? INF : Clock::s() + (float) $this->option('for');
        $away = false;
        while (Clock::s() < $until) {
            try {
                $rest = $clerk->turn() ? self::ROUND_US : self::IDLE_US;
                $away = false;
            } catch (Throwable $e) {
                // said once, tried again until the database is back
                if (! $away) {
                    Quietly::log($e);
                }
                $away = true;
                DB::purge();
                $rest = self::ROUND_US + self::IDLE_US;
            }
            usleep($rest);
        }

        return self::SUCCESS;
    }
}
