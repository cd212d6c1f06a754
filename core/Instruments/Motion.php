<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/**
 * Time a row of straight moves takes: each speeds up, runs and slows down at one acceleration (trapezoid), and passes the
 * corner to the next at the speed the junction deviation allows: v² = a·δ·sin(θ/2)/(1 − sin(θ/2)) (the cornering rule of
 * RepRap-style motion planners). Looks ahead in batches, so that any length of file takes the same memory.
 */
final class Motion
{
    private const BATCH = 96;

    /** Moves kept back from a batch: the plan of what comes next may still slow them. */
    private const KEPT = 24;

    private const SLOWEST = 0.05;

    /** @var list<array{float, float, float}> length, nominal speed, most speed at its entry */
    private array $moves = [];

    /** @var array{float, float, float} direction of the last move */
    private array $direction = [0.0, 0.0, 0.0];

    private float $nominal = 0.0;

    private float $entry = 0.0;

    private float $seconds = 0.0;

    public function __construct(private readonly float $acceleration, private readonly float $deviation)
    {
    }

    /** A move by these distances in mm at a speed in mm/s. */
    public function add(float $dx, float $dy, float $dz, float $de, float $speed): void
    {
        $length = sqrt($dx * $dx + $dy * $dy + $dz * $dz);
        if ($length < 1e-9) {
            // the extruder alone: it stands still before and after
            if ($de !== 0.0) {
                $this->rest();
                $this->seconds += self::alone(abs($de), $speed, $this->acceleration);
            }

            return;
        }
        $now = [$dx / $length, $dy / $length, $dz / $length];
        $this->moves[] = [$length, $speed, $this->moves === [] && $this->entry <= 0.0 && $this->nominal <= 0.0 ? 0.0 : min($speed, $this->nominal, $this->corner($now))];
        $this->direction = $now;
        $this->nominal = $speed;
        if (count($this->moves) >= self::BATCH) {
            $this->run(self::KEPT);
        }
    }

    /** Everything comes to a standstill here. */
    public function rest(float $pause = 0.0): void
    {
        $this->run(0);
        $this->entry = $this->nominal = 0.0;
        $this->direction = [0.0, 0.0, 0.0];
        $this->seconds += $pause;
    }

    public function seconds(): float
    {
        $this->rest();

        return $this->seconds;
    }

    private static function alone(float $length, float $speed, float $acceleration): float
    {
        return $length >= $speed * $speed / $acceleration ? $length / $speed + $speed / $acceleration : 2 * sqrt($length / $acceleration);
    }

    /** @param  array{float, float, float}  $now */
    private function corner(array $now): float
    {
        // cosine of the angle between the way back and the way on: −1 goes straight on, 1 turns back
        $cosine = -($this->direction[0] * $now[0] + $this->direction[1] * $now[1] + $this->direction[2] * $now[2]);
        if ($cosine < -0.999999) {
            return INF;
        }
        if ($cosine > 0.999999) {
            return 0.0;
        }
        $half = sqrt(0.5 * (1 - $cosine));

        return sqrt($this->acceleration * $this->deviation * $half / (1 - $half));
    }

    private function run(int $keep): void
    {
        $count = count($this->moves);
        if ($count <= $keep) {
            return;
        }
        $entries = array_fill(0, $count + 1, 0.0);
        for ($i = $count - 1; $i > 0; $i--) {
            $entries[$i] = min($this->moves[$i][2], sqrt($entries[$i + 1] ** 2 + 2 * $this->acceleration * $this->moves[$i][0]));
        }
        $entries[0] = $this->entry;
        for ($i = 0; $i < $count - $keep; $i++) {
            [$length, $nominal] = $this->moves[$i];
            $exit = min($entries[$i + 1], sqrt($entries[$i] ** 2 + 2 * $this->acceleration * $length));
            $entries[$i + 1] = $exit;
            $this->seconds += $this->trapezoid($length, $nominal, $entries[$i], $exit);
        }
        $this->entry = $entries[$count - $keep];
        $this->moves = array_slice($this->moves, $count - $keep);
    }

    private function trapezoid(float $length, float $nominal, float $entry, float $exit): float
    {
        $peak = max(min($nominal, sqrt(($entry ** 2 + $exit ** 2) / 2 + $this->acceleration * $length)), $entry, $exit, self::SLOWEST);
        $ramps = (2 * $peak ** 2 - $entry ** 2 - $exit ** 2) / (2 * $this->acceleration);

        return (2 * $peak - $entry - $exit) / $this->acceleration + max(0.0, $length - $ramps) / $peak;
    }
}
