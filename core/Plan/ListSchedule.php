<?php

declare(strict_types=1);

namespace OddBench\Plan;

/**
 * The serial way to make a timetable of a list (J. E. Kelley 1963, The critical-path method: resources planning and scheduling): step
 * after step, each at its earliest time in what is left, by whoever is done with it first. A list names jobs; each time a job is
 * named its next step is placed.
 */
final class ListSchedule
{
    private Board $board;

    /** @var array<int, int> by job, the step that is next */
    private array $next = [];

    /** @var array<int, int> by job, the minute from which that may begin */
    private array $ready = [];

    /** @var list<Placed> */
    private array $placed = [];

    /** @var array<int, int> by job, the step that found no time */
    private array $left = [];

    public function __construct(private readonly Problem $problem)
    {
        $this->board = new Board($problem);
    }

    /** @param  list<int>  $order  each job as often as it has steps */
    public function of(array $order): Timetable
    {
        $this->board = new Board($this->problem);
        $this->next = array_fill(0, count($this->problem->jobs), 0);
        $this->ready = $this->next;
        $this->placed = [];
        $this->left = [];
        // what is under way, before what somebody put where it is
        foreach ($this->problem->fixed as $job => $steps) {
            if ($this->problem->jobs[$job]->steps[0]->begun) {
                $this->goOn($job);
            }
        }
        foreach ($this->problem->fixed as $job => $steps) {
            while ($this->next[$job] < $steps && ! isset($this->left[$job])) {
                $this->goOn($job);
            }
        }
        foreach ($order as $job) {
            $this->goOn($job);
        }

        return Timetable::of($this->problem, $this->placed, $this->left);
    }

    private function goOn(int $job): void
    {
        if ($this->next[$job] === 0) {
            foreach ($this->problem->after[$job] as $before) {
                while (! isset($this->left[$before]) && isset($this->problem->jobs[$before]->steps[$this->next[$before]])) {
                    $this->goOn($before);
                }
                if (isset($this->left[$before])) {
                    $this->left[$job] = 0;
                }
                $this->ready[$job] = max($this->ready[$job], $this->ready[$before]);
            }
        }
        $step = $this->problem->jobs[$job]->steps[$this->next[$job]] ?? null;
        if ($step !== null && ! isset($this->left[$job])) {
            $this->place($job, $step);
        }
    }

    private function place(int $job, Step $step): void
    {
        $k = $this->next[$job];
        $best = null;
        $start = 0;
        foreach ($this->problem->ways[$job][$k] as $way) {
            $at = $this->board->earliest($way, $step, $this->ready[$job]);
            if ($at !== null && ($best === null || $at + $way->whole < $start + $best->whole)) {
                $best = $way;
                $start = $at;
            }
        }
        if ($best === null) {
            $this->left[$job] = $k;

            return;
        }
        $this->board->take($best, $step, $start);
        $this->placed[] = new Placed($job, $k, $best->worker, $start, $start + $best->hands, $start + $best->whole);
        $this->next[$job]++;
        $this->ready[$job] = $start + $best->whole;
    }
}
