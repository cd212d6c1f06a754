<?php

declare(strict_types=1);

namespace OddBench\Rig;

use Random\Randomizer;

/** Motion with its times (trapezoid), its switches, and what can go wrong with it. */
final class Axes
{
    private const HOMING_MM_S = ['X' => 50.0, 'Y' => 50.0, 'Z' => 10.0];

    private const MOST_MM_S = ['X' => 300.0, 'Y' => 300.0, 'Z' => 20.0, 'E' => 60.0];

    private const QUEUE = 16;

    /** Where a blocked X carriage stands still. */
    private const BLOCKED_AT = 11.0;

    /** @var array<string, float> where the firmware thinks the last move ends */
    public array $planned = ['X' => 0.0, 'Y' => 0.0, 'Z' => 0.0, 'E' => 0.0];

    /** @var array<string, float> how far the body is from where the firmware thinks it is */
    public array $lost = ['X' => 0.0, 'Y' => 0.0, 'Z' => 0.0];

    /** @var array<string, bool> */
    public array $homed = ['X' => false, 'Y' => false, 'Z' => false];

    public float $acceleration = 1000.0;

    /** mm/s of the last move */
    public float $feed = 50.0;

    private int $slips;

    /** @var list<array{from: array<string, float>, to: array<string, float>, begins: float, ends: float}> */
    private array $moves = [];

    /** Where a probe lifts to when it has found the bed. */
    private const LIFTED_MM = 5.0;

    private readonly float $top;

    /**
     * @param  array{float, float, float}  $sizeMm
     * @param  bool  $delta  homes upwards, to the middle
     */
    public function __construct(
        private readonly array $sizeMm,
        private readonly bool $blocked,
        private readonly bool $slack,
        private readonly Randomizer $random,
        private readonly bool $delta = false,
        private readonly bool $probed = false,
    ) {
        $this->top = $sizeMm[2];
        // a belt skips mostly one way, which depends on how its idler sits
        $this->slips = $slack ? $random->getInt(0, 1) * 2 - 1 : 0;
        // it was left somewhere in the middle
        $this->lost = ['X' => $sizeMm[0] * 0.4, 'Y' => $sizeMm[1] * 0.45, 'Z' => 20.0];
    }

    public function full(): bool
    {
        return count($this->moves) >= self::QUEUE;
    }

    public function idle(): bool
    {
        return $this->moves === [];
    }

    public function advance(float $now): void
    {
        while ($this->moves !== [] && $this->moves[0]['ends'] <= $now) {
            array_shift($this->moves);
        }
    }

    /** @param  array<string, float>  $to  axes that move, absolute mm */
    public function move(array $to, ?float $feedMmS, float $now): void
    {
        $this->feed = $feedMmS ?? $this->feed;
        $from = $this->planned;
        $end = array_merge($from, $to);
        $length = sqrt(($end['X'] - $from['X']) ** 2 + ($end['Y'] - $from['Y']) ** 2 + ($end['Z'] - $from['Z']) ** 2);
        $length = $length > 0 ? $length : abs($end['E'] - $from['E']);
        $speed = max(0.1, $this->feed);
        foreach (self::MOST_MM_S as $axis => $most) {
            $share = $length > 0 ? abs($end[$axis] - $from[$axis]) / $length : 0.0;
            if ($share > 0) {
                $speed = min($speed, $most / $share);
            }
        }
        $last = $this->moves === [] ? $now : max($now, $this->moves[count($this->moves) - 1]['ends']);
        $this->moves[] = [
            'from' => $from,
            'to' => $end,
            'begins' => $last,
            'ends' => $last + self::seconds($length, $speed, $this->acceleration),
        ];
        $this->planned = $end;
        if ($this->slack && $this->acceleration > 1500 && $speed > 100 && abs($end['X'] - $from['X']) > 30) {
            $this->lost['X'] += $this->random->getInt(40, 120) / 100 * $this->slips;
        }
        if ($this->blocked && $this->homed['X'] && $end['X'] < self::BLOCKED_AT) {
            $this->lost['X'] = max($this->lost['X'], self::BLOCKED_AT - $end['X']);
        }
    }

    /** Time of a move from rest to rest with one acceleration: trapezoid, or triangle when it is short. */
    public static function seconds(float $lengthMm, float $speedMmS, float $accelerationMmS2): float
    {
        if ($lengthMm <= 0) {
            return 0.0;
        }
        $ramp = $speedMmS ** 2 / $accelerationMmS2;

        return $lengthMm >= $ramp ? $lengthMm / $speedMmS + $speedMmS / $accelerationMmS2 : 2 * sqrt($lengthMm / $accelerationMmS2);
    }

    /**
     * Homes axes one after the other.
     *
     * @param  list<string>  $axes
     * @return array{float, string|null} seconds it takes, the axis that never reached its switch
     */
    public function home(array $axes): array
    {
        $seconds = 0.0;
        foreach ($axes as $axis) {
            $body = $this->delta
                ? ($axis === 'Z' ? 4 * abs($this->top - $this->planned['Z'] - $this->lost['Z']) / 10 : 0.0)
                : max(0.0, $this->planned[$axis] + $this->lost[$axis]);
            if ($axis === 'X' && $this->blocked) {
                return [$seconds + ($this->sizeMm[0] * 1.5) / self::HOMING_MM_S['X'], 'X'];
            }
            $seconds += $body / self::HOMING_MM_S[$axis] + 1.5;
            $this->planned[$axis] = $axis !== 'Z' ? 0.0 : ($this->delta ? $this->top : ($this->probed ? self::LIFTED_MM : 0.0));
            $this->lost[$axis] = 0.0;
            $this->homed[$axis] = true;
        }

        return [$seconds, null];
    }

    /** @return array<string, float> where the firmware thinks it is at this moment */
    public function at(float $now): array
    {
        foreach ($this->moves as $move) {
            if ($now < $move['ends']) {
                $share = $now <= $move['begins'] ? 0.0 : ($now - $move['begins']) / max(1e-9, $move['ends'] - $move['begins']);

                $at = [];
                foreach ($move['from'] as $axis => $from) {
                    $at[$axis] = $from + ($move['to'][$axis] - $from) * $share;
                }

                return $at;
            }
        }

        return $this->planned;
    }

    /** Where the body really is. */
    public function body(string $axis, float $now): float
    {
        return $this->at($now)[$axis] + $this->lost[$axis];
    }

    public function pressed(string $axis, float $now): bool
    {
        if ($this->delta) {
            return $this->body('Z', $now) >= $this->top - 0.05;
        }

        return $this->body($axis, $now) <= 0.05 && ! ($axis === 'X' && $this->blocked);
    }

    public function stop(float $now): void
    {
        $this->planned = $this->at($now);
        $this->moves = [];
    }
}
