<?php

declare(strict_types=1);

namespace App\Plan\Promises;

use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Notes what was to be expected when a day was promised: later promises of its kind learn from it. */
final class NotePromise implements ShouldQueue
{
    use Queueable;

    public function __construct(private readonly int $promised, private readonly string $kind, private readonly int $person)
    {
    }

    public function handle(PromiseQuery $promises): void
    {
        $job = Job::query()->with('machine')->whereNull('finished_at')->find($this->promised);
        if ($job === null || Person::query()->whereKey($this->person)->doesntExist()) {
            return;
        }
        $view = $promises->of($job, $this->kind);
        if ($view->half === null || $view->eighty === null || $view->ninety === null) {
            return;
        }
        Promise::query()->create([
            'job_id' => $job->id,
            'kind' => $this->kind,
            'promised_for' => $job->promised_for,
            'half' => $view->half,
            'eighty' => $view->eighty,
            'ninety' => $view->ninety,
            'person_id' => $this->person,
            'at' => now(),
        ]);
    }
}
