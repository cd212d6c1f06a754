<?php

declare(strict_types=1);

namespace OddBench\Plan;

/** A plan: every step in order of its start, and what it is judged by. */
final readonly class Timetable
{
    /**
     * @param  list<Placed>  $placed
     * @param  array<int, int>  $ends  when each job is over, as far as it got
     * @param  array<int, int>  $left  job => first of its steps that found no time
     */
    private function __construct(public array $placed, public array $ends, public array $left, public Score $score)
    {
    }

    /**
     * @param  list<Placed>  $placed
     * @param  array<int, int>  $left
     */
    public static function of(Problem $problem, array $placed, array $left = []): self
    {
        $ends = array_fill(0, count($problem->jobs), 0);
        foreach ($placed as $one) {
            $ends[$one->job] = max($ends[$one->job], $one->aloneUntil);
        }
        [$late, $steps] = [0.0, 0];
        foreach ($problem->jobs as $j => $job) {
            $late += $job->late($ends[$j]);
            $steps += isset($left[$j]) ? count($job->steps) - $left[$j] : 0;
        }
        usort($placed, static fn (Placed $a, Placed $b): int => [$a->start, $a->job, $a->step] <=> [$b->start, $b->job, $b->step]);

        return new self($placed, $ends, $left, new Score($steps, $late, array_sum($ends), $ends === [] ? 0 : max($ends)));
    }
}
