<?php

declare(strict_types=1);

namespace App\Plan\Ahead;

use App\Intake\Job;
use App\Plan\Making\PlanRow;

/**
 * What Find said of each job when it was planned last: as long as the job is as it was, it says the same.
 * One lives as long as a request.
 */
final class LookedBefore
{
    /** @var array<int, Looked>|null */
    private ?array $before = null;

    /** @var array<int, Looked> */
    private array $now = [];

    /** @param  callable(): Looked  $look */
    public function of(Job $job, callable $look): Looked
    {
        $before = $this->before()[$job->id] ?? null;

        return $this->now[$job->id] = $before !== null && $before->holds() ? $before : $look();
    }

    /** @return array<int, array<string, mixed>> by job, as it is kept with a plan */
    public function kept(): array
    {
        return array_map(static fn (Looked $one): array => $one->kept(), $this->now);
    }

    /** @return array<int, Looked> */
    private function before(): array
    {
        if ($this->before === null) {
            $this->before = [];
            $row = PlanRow::query()->orderByDesc('id')->first(['id', 'versions', 'looked']);
            $open = $row === null ? [] : Job::query()->whereNull('finished_at')->pluck('version', 'id')->all();
            foreach ($row->looked ?? [] as $job => $kept) {
                if (($open[$job] ?? null) === ($row->versions[$job] ?? false)) {
                    $this->before[$job] = Looked::from($kept);
                }
            }
        }

        return $this->before;
    }
}
