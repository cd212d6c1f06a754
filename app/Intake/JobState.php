<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Support\Collection;

/**
 * A job as it stands at one moment: each room’s part of it is read once, on first use, for all the jobs that were
 * taken together. Made anew after a change.
 */
final class JobState
{
    /** @var array<class-string<JobPart>, JobPart> */
    private array $parts = [];

    /** @var array<int, self> */
    private array $together = [];

    /** @var array<string, mixed> */
    private array $once = [];

    private function __construct(public readonly Job $job)
    {
    }

    public static function of(Job $job): self
    {
        return self::ofMany(collect([$job]))[$job->id];
    }

    /**
     * @param  Collection<int, Job>  $jobs
     * @return array<int, self> job id => its state
     */
    public static function ofMany(Collection $jobs): array
    {
        $states = [];
        foreach ($jobs as $job) {
            $states[$job->id] = new self($job);
        }
        foreach ($states as $state) {
            $state->together = $states;
        }

        return $states;
    }

    /**
     * @template T of JobPart
     *
     * @param  class-string<T>  $of
     * @return T
     */
    public function part(string $of): JobPart
    {
        if (! isset($this->parts[$of])) {
            $read = $of::read(collect($this->together)->map(static fn (self $s): Job => $s->job)->values());
            foreach ($this->together as $id => $state) {
                $state->parts[$of] ??= $read[$id];
            }
        }
        /** @var T $part */
        $part = $this->parts[$of];

        return $part;
    }

    /**
     * What is worked out from this state, worked out once.
     *
     * @template T
     *
     * @param  callable(): T  $make
     * @return T
     */
    public function once(string $what, callable $make): mixed
    {
        if (! array_key_exists($what, $this->once)) {
            $this->once[$what] = $make();
        }
        /** @var T $made */
        $made = $this->once[$what];

        return $made;
    }
}
