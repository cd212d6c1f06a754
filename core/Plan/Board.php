<?php

declare(strict_types=1);

namespace OddBench\Plan;

use LogicException;

/** Who and what is taken when: free spans of people, taken spans of places. A copy of it is a state to come back to. */
final class Board
{
    /** @var list<list<array{int, int}>> by person, in order */
    private array $free;

    /** @var array<string, list<array{int, int}>> by place, in order of their starts */
    private array $taken = [];

    public function __construct(private readonly Problem $problem)
    {
        $this->free = array_map(static fn (Worker $worker): array => $worker->free, $problem->workers);
    }

    /**
     * The earliest minute from which a step can be done this way.
     *
     * @return int|null nothing when no span is left that holds it
     */
    public function earliest(Way $way, Step $step, int $from): ?int
    {
        $from = max($from, $step->notBefore);
        while (true) {
            $at = $way->worker < 0 ? $from : $this->fit($way->worker, $way->keeps, $from);
            if ($at === null) {
                return null;
            }
            $from = $step->attended ? $this->attended($at, $way->whole) : $at;
            if ($from === null) {
                return null;
            }
            foreach ($step->places as $place) {
                $from = $this->room($place, $from, $way->whole);
            }
            if ($from === $at) {
                return $at;
            }
        }
    }

    /** Takes person and places for a step that begins then. */
    public function take(Way $way, Step $step, int $start): void
    {
        if ($way->worker >= 0 && $way->keeps > 0) {
            $this->cut($way->worker, $start, $start + $way->keeps);
        }
        foreach ($step->places as $place) {
            $spans = $this->taken[$place] ?? [];
            $at = count($spans);
            while ($at > 0 && $spans[$at - 1][0] > $start) {
                $at--;
            }
            array_splice($spans, $at, 0, [[$start, $start + $way->whole]]);
            $this->taken[$place] = $spans;
        }
    }

    /**
     * The minute by which so many minutes of all hands together have passed, from a minute on.
     *
     * @param  list<int>  $sums  rising
     * @return list<int|null> nothing where the hands of all days are too few
     */
    public function passed(array $sums, int $from): array
    {
        $edges = [];
        foreach ($this->free as $spans) {
            foreach ($spans as [$start, $end]) {
                if ($end > $from) {
                    $edges[max($start, $from)] = ($edges[max($start, $from)] ?? 0) + 1;
                    $edges[$end] = ($edges[$end] ?? 0) - 1;
                }
            }
        }
        ksort($edges);
        $at = $from;
        [$hands, $done, $k, $when] = [0, 0, 0, []];
        foreach ($edges as $edge => $change) {
            while ($k < count($sums) && $done + $hands * ($edge - $at) >= $sums[$k]) {
                $when[] = $hands === 0 ? $at : $at + intdiv($sums[$k] - $done + $hands - 1, $hands);
                $k++;
            }
            $done += $hands * ($edge - $at);
            $at = $edge;
            $hands += $change;
        }

        return array_pad($when, count($sums), null);
    }

    /** @return list<array{int, int}> what is left of a person's time */
    public function freeOf(int $worker): array
    {
        return $this->free[$worker];
    }

    private function fit(int $worker, int $keeps, int $from): ?int
    {
        foreach ($this->free[$worker] as [$start, $end]) {
            $at = $start > $from ? $start : $from;
            if ($at + $keeps <= $end) {
                return $at;
            }
        }

        return null;
    }

    /** The earliest minute from which somebody is in the shop for so long. */
    private function attended(int $from, int $whole): ?int
    {
        foreach ($this->problem->open as [$start, $end]) {
            if (max($from, $start) + $whole <= $end) {
                return max($from, $start);
            }
        }

        return null;
    }

    private function cut(int $worker, int $from, int $to): void
    {
        foreach ($this->free[$worker] as $i => [$start, $end]) {
            if ($start <= $from && $to <= $end) {
                $left = [];
                if ($start < $from) {
                    $left[] = [$start, $from];
                }
                if ($to < $end) {
                    $left[] = [$to, $end];
                }
                array_splice($this->free[$worker], $i, 1, $left);

                return;
            }
        }

        throw new LogicException('Only time that is free is taken.');
    }

    /** The earliest minute from which a place has room for so long. */
    private function room(string $place, int $from, int $whole): int
    {
        $there = $this->problem->places[$place] ?? 1;
        while (true) {
            $over = array_values(array_filter(
                $this->taken[$place] ?? [],
                static fn (array $span): bool => $span[0] < $from + $whole && $span[1] > $from,
            ));
            if (count($over) < $there) {
                return $from;
            }
            $most = 0;
            foreach ($over as [$start]) {
                $at = max($start, $from);
                $most = max($most, count(array_filter($over, static fn (array $span): bool => $span[0] <= $at && $span[1] > $at)));
            }
            if ($most < $there) {
                return $from;
            }
            /** @var non-empty-list<array{int, int}> $over a place there is none of is in no way */
            $from = min(array_column($over, 1));
        }
    }
}
