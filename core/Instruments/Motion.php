<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/**
 * Time a row of straight moves takes: each speeds up, runs and slows down at one acceleration (trapezoid), and passes the
 * corner to the next at the speed the junction deviation allows: v² = a·δ·sin(θ/2)/(1 − sin(θ/2)) (the cornering rule of
 * RepRap-style motion planners). It looks ahead as far as braking reaches, however short the moves are, and keeps only those
 * that what follows could still slow.
 */
final class Motion
{
    private const BATCH = 256;

    /** More are never kept: what is shorter than the braking way through so many moves stops there. */
    private const MOST_KEPT = 100_000;

    private const SLOWEST = 0.05;

    /** @var list<array{float, float, float}> length, nominal speed, most speed at its entry */
    private array $moves = [];

    /** @var array{float, float, float} direction of the last move */
    private array $direction = [0.0, 0.0, 0.0];

    private float $nominal = 0.0;

    private float $entry = 0.0;

    private float $seconds = 0.0;

    private int $runAt = self::BATCH;

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
        $this->moves[] = [
            $length,
            $speed,
            $this->moves === [] && $this->entry <= 0.0 && $this->nominal <= 0.0 ? 0.0 : min($speed, $this->nominal, $this->corner($now)),
        ];
        $this->direction = $now;
        $this->nominal = $speed;
        if (count($this->moves) >= $this->runAt) {
            $this->run(false);
            // twice what is left, so that looking at it again and again costs no more than the file is long
            $this->runAt = max(self::BATCH, 2 * count($this->moves));
        }
    }

    /** Everything comes to a standstill here. */
    public function rest(float $pause = 0.0): void
    {
        $this->run(true);
        $this->runAt = self::BATCH;
        $this->entry = $this->nominal = 0.0;
        $this->direction = [0.0, 0.0, 0.0];
        $this->seconds += $pause;
    }

    /** What all moves so far take, with the last one brought to rest. */
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

    /** @param  bool  $ends  it stands still behind the last move; else nobody knows yet, and what hangs on that is kept */
    private function run(bool $ends): void
    {
        $count = count($this->moves);
        $entries = $this->entries($count, 0.0);
        $final = $count;
        if (! $ends) {
            // where stopping at the end and running on through it give the same speed, the plan up to there stands
            $running = $this->entries($count, INF);
            $final = max([
                0,
                ...array_keys(array_filter(
                    $entries,
                    static fn (float $entry, int $i): bool => $entry === ($running[$i] ?? INF),
                    ARRAY_FILTER_USE_BOTH,
                )),
            ]);
            $final = $final === 0 && $count > self::MOST_KEPT ? intdiv($count, 2) : $final;
        }
        if ($final === 0) {
            return;
        }
        for ($i = 0; $i < $final; $i++) {
            [$length, $nominal] = $this->moves[$i];
            $exit = min($entries[$i + 1], sqrt($entries[$i] ** 2 + 2 * $this->acceleration * $length));
            $entries[$i + 1] = $exit;
            $this->seconds += $this->trapezoid($length, $nominal, $entries[$i], $exit);
        }
        $this->entry = $entries[$final] ?? 0.0;
        $this->moves = array_slice($this->moves, $final);
    }

    /**
     * The most speed each move may begin with so that it can slow down for all that follow.
     *
     * @return list<float>
     */
    private function entries(int $count, float $after): array
    {
        $entries = array_fill(0, $count + 1, $after);
        for ($i = $count - 1; $i > 0; $i--) {
            $entries[$i] = min($this->moves[$i][2], sqrt($entries[$i + 1] ** 2 + 2 * $this->acceleration * $this->moves[$i][0]));
        }
        $entries[0] = $this->entry;

        return array_values($entries);
    }

    private function trapezoid(float $length, float $nominal, float $entry, float $exit): float
    {
        $peak = max(min($nominal, sqrt(($entry ** 2 + $exit ** 2) / 2 + $this->acceleration * $length)), $entry, $exit, self::SLOWEST);
        $ramps = (2 * $peak ** 2 - $entry ** 2 - $exit ** 2) / (2 * $this->acceleration);

        return (2 * $peak - $entry - $exit) / $this->acceleration + max(0.0, $length - $ramps) / $peak;
    }
}
