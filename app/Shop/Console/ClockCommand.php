<?php

declare(strict_types=1);

namespace App\Shop\Console;

use Illuminate\Console\Command;
use Illuminate\Console\Scheduling\ScheduleRunCommand;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Sleep;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\NullOutput;
use Throwable;

/** The framework’s schedule from one process: a shop at rest starts no PHP every minute. What takes long still gets one of its own. */
final class ClockCommand extends Command
{
    protected $signature = 'odd-bench:clock {--for= : stop after so many seconds}';

    protected $description = 'Does what is due by the clock';

    public function handle(): int
    {
        $until = $this->option('for') === null ? INF : hrtime(true) / 1e9 + (float) $this->option('for');
        $minute = '';
        while (hrtime(true) / 1e9 < $until) {
            if ($minute === ($now = now()->format('Y-m-d H:i'))) {
                Sleep::for(1)->second();

                continue;
            }
            $minute = $now;
            $this->minute();
        }

        return self::SUCCESS;
    }

    /** Everything that is due in this minute; what comes several times in it keeps this until the minute is over. */
    private function minute(): void
    {
        try {
            app()->forgetScopedInstances();
            $run = $this->laravel->make(ScheduleRunCommand::class);
            $run->setLaravel($this->laravel);
            $run->run(new ArrayInput([]), new NullOutput);
        } catch (Throwable $e) {
            // such as a database that is away: the next minute tries again
            report($e);
            DB::purge();
        }
    }
}
