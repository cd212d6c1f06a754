<?php

declare(strict_types=1);

namespace App\Plan;

use App\Intake\Job;
use App\Intake\JobState;
use Illuminate\Console\Command;
use Illuminate\Support\Collection;

final class NextStepsCommand extends Command
{
    private const AT_ONCE = 100;

    protected $signature = 'odd-bench:next-steps';

    protected $description = 'Works out the next step of open jobs that have none, such as after an update';

    public function handle(NextStep $next): int
    {
        Job::query()->with('machine')->whereNull('finished_at')->whereNull('next_step')
            ->chunkById(self::AT_ONCE, static function (Collection $jobs) use ($next): void {
                foreach (JobState::ofMany($jobs) as $state) {
                    [$step, $minutes] = $next->of($state);
                    Job::query()->where([
                        'id' => $state->job->id,
                        'version' => $state->job->version,
                    ])->update(['next_step' => $step, 'next_minutes' => $minutes]);
                }
            });

        return self::SUCCESS;
    }
}
