<?php

declare(strict_types=1);

namespace OddBench\Plan;

use InvalidArgumentException;

/**
 * Work in the shop = rate × time (J. D. C. Little 1961, A proof for the queuing formula L = λW, Operations Research 9, 383–387): over a
 * span that is watched it holds exactly when the time is counted within the span, so that it checks the figures it is made of.
 */
final readonly class Little
{
    /**
     * @param  float  $work  machines in the shop, on the average
     * @param  float  $rate  machines that were there, for a day of the span
     * @param  float  $time  days each of them was there, within the span
     * @param  float  $stay  days those that left had been there in all; 0 when none did
     */
    private function __construct(
        public float $work,
        public float $rate,
        public float $time,
        public int $came,
        public int $left,
        public float $stay,
    ) {
    }

    /**
     * @param  list<array{int, int|null}>  $stays  seconds: came, and left
     * @param  int  $from  seconds
     */
    public static function of(array $stays, int $from, int $to): self
    {
        if ($to <= $from) {
            throw new InvalidArgumentException('A span ends after it begins.');
        }
        $changes = [];
        [$there, $within, $came, $left, $whole] = [0, 0, 0, 0, 0];
        foreach ($stays as [$in, $out]) {
            $last = min($out ?? $to, $to);
            $first = max($in, $from);
            if ($last <= $first) {
                continue;
            }
            $there++;
            $within += $last - $first;
            $came += $in >= $from ? 1 : 0;
            if ($out !== null && $out <= $to) {
                $left++;
                $whole += $out - $in;
            }
            $changes[$first] = ($changes[$first] ?? 0) + 1;
            $changes[$last] = ($changes[$last] ?? 0) - 1;
        }
        $day = 86_400;

        return new self(
            self::average($changes, $from, $to),
            $there * $day / ($to - $from),
            $there === 0 ? 0.0 : $within / $there / $day,
            $came,
            $left,
            $left === 0 ? 0.0 : $whole / $left / $day,
        );
    }

    /**
     * How many were there, counted through the span and not from their times.
     *
     * @param  array<int, int>  $changes
     */
    private static function average(array $changes, int $from, int $to): float
    {
        ksort($changes);
        [$at, $there, $sum] = [$from, 0, 0];
        foreach ($changes as $when => $by) {
            $sum += $there * ($when - $at);
            [$at, $there] = [$when, $there + $by];
        }

        return ($sum + $there * ($to - $at)) / ($to - $from);
    }
}
