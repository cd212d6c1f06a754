<?php

declare(strict_types=1);

namespace OddBench\Rig;

use Random\Randomizer;

/** A heater, what it warms, its sensor, its control and the firmware’s watch over it. */
final class HeatLoop
{
    public float $target = 0.0;

    /** Share of full power the firmware gives, 0 to 1. */
    public float $duty = 0.0;

    /** What the sensor says now, °C. */
    public float $reading;

    /** Share of full power that arrives, whatever the firmware gives. */
    private float $power = 0.0;

    /** @var array{float, float, float}|null since when it goes on though it is off: s, °C then, the target it had */
    private ?array $on = null;

    private float $integral = 0.0;

    private float $last;

    private float $slope = 0.0;

    private float $watchedFrom = 0.0;

    private float $watchedTemperature = 0.0;

    private bool $reached = false;

    private ?float $lowSince = null;

    /**
     * @param  array{kp: float, ki: float, kd: float}  $gains  duty per °C, per °C·s, per °C/s
     * @param  array{watchS: float, riseC: float, periodS: float, hysteresisC: float, mostC: float}  $watch
     */
    public function __construct(
        public readonly string $name,
        public readonly TwoNodes $nodes,
        private readonly float $watts,
        private readonly array $gains,
        private readonly array $watch,
        private readonly bool $protected,
        private readonly Randomizer $random,
        private readonly ?GoesOn $goesOn = null,
    ) {
        $this->reading = $this->last = $nodes->t1;
    }

    public function aim(float $target, float $now): void
    {
        if ($target === $this->target) {
            // told the same again: nothing begins anew
            return;
        }
        $this->on = $target <= 0 && $this->goesOn !== null ? [$now, $this->reading, $this->target] : null;
        $this->target = max(0.0, $target);
        $this->reached = false;
        $this->lowSince = null;
        $this->integral = 0.0;
        $this->watchedFrom = $now;
        $this->watchedTemperature = $this->reading;
    }

    /**
     * @param  float  $powerShare  of the rated watts that arrive at full duty
     * @param  float|null  $broken  what the sensor says instead; nothing when it is sound
     * @return string|null what makes the firmware stop the machine
     */
    public function step(float $now, float $dt, float $h1, float $h2, float $powerShare, float $offset, ?float $broken): ?string
    {
        $this->nodes->step($this->watts * $powerShare * $this->power, $h1, $h2, $dt);
        $noise = ($this->random->getInt(-100, 100)) / 100 * 0.06;
        $this->reading = $broken ?? $this->nodes->t1 + $offset + $noise;
        $this->duty = $this->control($dt);
        $this->power = $this->on === null ? $this->duty : $this->goOn($now);

        return $this->guard($now);
    }

    /** What its switch lets through though nothing is asked of it; nobody sees that on the wire. */
    private function goOn(float $now): float
    {
        [$since, $c, $target] = $this->on ?? [$now, 0.0, 0.0];
        if ($this->goesOn === GoesOn::Returns) {
            if ($now - $since > GoesOn::RETURNS_AFTER_S) {
                $this->aim($target, $now);
            }

            return 0.0;
        }

        if ($this->goesOn === GoesOn::Leaks) {
            return GoesOn::LEAKS;
        }

        // so stiff that it does not sag by more than two degrees
        $aim = $c + 1.0 + ($this->goesOn === GoesOn::Creeps ? GoesOn::CREEPS_C_PER_S * ($now - $since) : 0.0);

        return max(0.0, min(1.0, 0.2 * ($aim - $this->reading)));
    }

    private function control(float $dt): float
    {
        if ($this->target <= 0) {
            $this->last = $this->reading;

            return 0.0;
        }
        $error = $this->target - $this->reading;
        // the slope is smoothed, for the sensor is noisy
        $this->slope += (($this->reading - $this->last) / $dt - $this->slope) * min(1.0, $dt / 2.0);
        $this->last = $this->reading;
        if ($error > 12) {
            $this->integral = 0.0;

            return 1.0;
        }
        $this->integral = max(0.0, min(1.0, $this->integral + $this->gains['ki'] * $error * $dt));

        return max(0.0, min(1.0, $this->gains['kp'] * $error + $this->integral - $this->gains['kd'] * $this->slope));
    }

    private function guard(float $now): ?string
    {
        if (! $this->protected) {
            return null;
        }
        if ($this->reading > $this->watch['mostC']) {
            return 'MAXTEMP triggered';
        }
        if ($this->target <= 0) {
            return null;
        }
        if ($this->reading < 5) {
            return 'MINTEMP triggered';
        }
        if (! $this->reached) {
            return $this->guardRise($now);
        }
        if ($this->reading >= $this->target - $this->watch['hysteresisC']) {
            $this->lowSince = null;

            return null;
        }
        $this->lowSince ??= $now;

        return $now - $this->lowSince >= $this->watch['periodS'] ? 'Thermal Runaway' : null;
    }

    private function guardRise(float $now): ?string
    {
        if ($this->reading >= $this->target - 1) {
            $this->reached = true;

            return null;
        }
        if ($now - $this->watchedFrom < $this->watch['watchS']) {
            return null;
        }
        // close to the target it may creep
        if ($this->reading < $this->target - $this->watch['riseC'] - $this->watch['hysteresisC'] - 1
            && $this->reading < $this->watchedTemperature + $this->watch['riseC']) {
            return 'Heating failed';
        }
        $this->watchedFrom = $now;
        $this->watchedTemperature = $this->reading;

        return null;
    }
}
