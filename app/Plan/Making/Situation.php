<?php

declare(strict_types=1);

namespace App\Plan\Making;

use App\Intake\Job;
use App\Plan\Calendar\ShopHours;
use App\Shop\Person;
use Carbon\CarbonImmutable;
use OddBench\Plan\ChainStep;
use OddBench\Plan\JobEnd;
use OddBench\Plan\PlanJob;
use OddBench\Plan\Planned;
use OddBench\Plan\Worker;

/** Everything a plan is made of, at one moment. */
final readonly class Situation
{
    /**
     * @param  array<int, Person>  $people  by place in the list of workers
     * @param  list<Worker>  $workers
     * @param  array<int, Job>  $jobs  by id
     * @param  list<PlanJob>  $planned
     * @param  array<int, list<ChainStep>>  $chains  by job
     * @param  array<string, int>  $places
     * @param  list<array{int, int}>  $open  when the shop is open and somebody is there
     * @param  array<int, float>  $perDay  what a day costs that a job stands, minor units
     */
    public function __construct(
        public CarbonImmutable $from,
        public array $people,
        public array $workers,
        public array $jobs,
        public array $planned,
        public array $chains,
        public array $places,
        public array $open,
        public array $perDay,
        public ShopHours $hours,
    ) {
    }

    public function at(int $minute): CarbonImmutable
    {
        return $this->from->addMinutes($minute);
    }

    /** How people call a job: by who waits for it, else by its tag. */
    public static function name(Job $job): string
    {
        $owner = $job->machine->owner->name ?? null;

        return $owner === null ? $job->machine->tag : "{$owner} ({$job->machine->tag})";
    }

    /**
     * When each job is ready by a plan.
     *
     * @return array<int, JobEnd> by job
     */
    public function ends(Planned $plan): array
    {
        $zone = $this->hours->zone();
        $ends = [];
        foreach ($this->jobs as $id => $job) {
            $end = $plan->end((string) $id);
            $ends[$id] = new JobEnd(
                self::name($job),
                $end === null ? null : $this->at($end)->setTimezone($zone),
                self::due($job, $this->hours),
            );
        }

        return $ends;
    }

    /** The end of the day a job was promised for, as the shop closes then. */
    public static function due(Job $job, ShopHours $hours): ?CarbonImmutable
    {
        if ($job->promised_for === null) {
            return null;
        }
        $day = CarbonImmutable::parse($job->promised_for->toDateString(), $hours->zone());
        $spans = $hours->shop()->on($day);
        $closes = $spans === [] ? 1439 : min(1439, $spans[count($spans) - 1][1]);

        return $day->setTime(intdiv($closes, 60), $closes % 60);
    }
}
