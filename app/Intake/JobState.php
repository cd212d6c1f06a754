<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Support\Arr;
use Illuminate\Support\Collection;
use WeakMap;

/**
 * A job as it stands at one moment: each room’s part of it is read once, on first use, for all the jobs that were
 * taken together. Made anew after a change; in a running write (`within`) one state serves from beginning to end, and of it only
 * what came from a table that was written meanwhile is read again.
 */
final class JobState
{
    /** What a write raises or works out at its end: nothing that is read of a job rests on it. */
    private const BOOKKEEPING = ['version', 'next_step', 'next_minutes'];

    /** Where it stands and what it waits for: what is worked out rests on that, what was read does not. */
    private const STANDS = ['station', 'station_since', 'waits_for', 'waits_note', 'waits_until', 'waits_since', 'waits_hot', 'asked'];

    /** @var WeakMap<Job, self>|null */
    private static ?WeakMap $within = null;

    /** @var array<class-string<JobPart>, JobPart> */
    private array $parts = [];

    /** @var array<int, self> */
    private array $together = [];

    /** @var array<string, mixed> */
    private array $once = [];

    /** @var array<string, array{array<string, true>, int, array<string, mixed>}> part or what was worked out => what it rests on */
    private array $from = [];

    private ?TableWatch $watch = null;

    private function __construct(public readonly Job $job)
    {
    }

    public static function of(Job $job): self
    {
        return self::$within[$job] ?? self::ofMany(collect([$job]))[$job->id];
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
     * One state of a job, locked for a write, for everybody who asks while the write runs.
     *
     * @template T
     *
     * @param  callable(): T  $write
     * @return T
     */
    public static function within(Job $locked, TableWatch $watch, callable $write): mixed
    {
        self::$within ??= new WeakMap;
        if (isset(self::$within[$locked])) {
            return $write();
        }
        $state = self::of($locked);
        $state->watch = $watch;
        self::$within[$locked] = $state;
        try {
            return $write();
        } finally {
            unset(self::$within[$locked]);
        }
    }

    /**
     * @template T of JobPart
     *
     * @param  class-string<T>  $of
     * @return T
     */
    public function part(string $of): JobPart
    {
        if (! isset($this->parts[$of]) || (! is_subclass_of($of, PartOfOthers::class) && ! $this->stillTrue($of, self::STANDS))) {
            $read = $this->reading(
                $of,
                fn (): array => $of::read(collect($this->together)->map(static fn (self $s): Job => $s->job)->values()),
            );
            unset($this->parts[$of]);
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
        return $this->kept($what, [], $make);
    }

    /**
     * What is read of this job alone, read once: where the job stands does not matter to it.
     *
     * @template T
     *
     * @param  callable(): T  $read
     * @return T
     */
    public function readOnce(string $what, callable $read): mixed
    {
        return $this->kept($what, self::STANDS, $read);
    }

    /**
     * @template T
     *
     * @param  list<string>  $besides  columns of the job that do not matter to it
     * @param  callable(): T  $make
     * @return T
     */
    private function kept(string $what, array $besides, callable $make): mixed
    {
        if (! array_key_exists($what, $this->once) || ! $this->stillTrue($what, $besides)) {
            $this->once[$what] = $this->reading($what, $make);
        }
        /** @var T $made */
        $made = $this->once[$what];

        return $made;
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T
     */
    private function reading(string $what, callable $read): mixed
    {
        if ($this->watch === null) {
            return $read();
        }
        $job = $this->job->getAttributes();
        [$value, $tables, $by] = $this->watch->reading($read);
        // its machine was read with the job
        $this->from[$what] = [$tables + ['machines' => true], $by, $job];

        return $value;
    }

    /** @param  list<string>  $besides  columns of the job that do not matter to it */
    private function stillTrue(string $what, array $besides): bool
    {
        if ($this->watch === null) {
            return true;
        }
        [$tables, $by, $job] = $this->from[$what];
        $this->watch->from($tables);

        return ! $this->watch->writtenSince($tables, $by)
            && Arr::except($job, [...self::BOOKKEEPING, ...$besides])
                === Arr::except($this->job->getAttributes(), [...self::BOOKKEEPING, ...$besides]);
    }
}
