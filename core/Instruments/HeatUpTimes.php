<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * The time a heater took when it was well and the time it takes today, and what in its contact explains the difference.
 *
 * C dT/dt = V²R(T)/(R(T) + r)² − kΔT. Without losses and with a steady element the time to the same rise goes with 1/P, so
 * r = R(√(t1/t0) − 1). With a loss k per kelvin the heat capacity is fitted so that the baseline holds, then r so that today’s
 * time does; a steady element has a closed form for both, copper tracks (R grows with T, IEC 60028) are integrated by Simpson’s
 * rule and r is found by halving. Where both start temperatures are told, each time counts for its own rise.
 */
final readonly class HeatUpTimes
{
    /** What a rise can be off by where nobody wrote down from where it began, in kelvins, and the usual rise it is off. */
    private const START_OFF = 5.0;

    private const USUAL_RISE = 40.0;

    /** A draught or a cold plate, as a share of the time. */
    private const DRAUGHT = 0.03;

    /** A hand on a watch, both times together. */
    private const CLOCK_S = 4.0;

    /** A loss below this share of the power changes nothing that a double could tell. */
    private const NO_LOSS = 1e-9;

    /** The baseline and what a told heat capacity makes of it may differ by this. */
    private const CAPACITY_OFF = 0.15;

    /** A well heater has more left than this at the end of its rise, as a share of its power that may be lost. */
    private const MOST_LOST = 0.9;

    private const INTERVALS = 200;

    private const HALVINGS = 200;

    private function __construct(
        private float $element,
        private float $volts,
        private float $baseline,
        private float $today,
        private float $loss,
        private ?float $capacity,
        private ?float $rise,
        private ?float $target,
        private ?float $startThen,
        private ?float $startNow,
        private ?float $measuredAt,
    ) {
    }

    /**
     * @param  float  $element  Ω
     * @param  float|null  $copperAt  °C its resistance was measured at, where it is a copper track; null for one that keeps its resistance
     *
     * @throws InputError
     */
    public static function read(Fields $fields, float $element, float $volts, ?float $copperAt): self
    {
        $times = new self(
            $element,
            $volts,
            $fields->number('baseline_s', ...Quantity::HeatUpTime->bounds()),
            $fields->number('today_s', ...Quantity::HeatUpTime->bounds()),
            $fields->numberOrNull('loss_w_per_k', ...Quantity::HeatLoss->bounds()) ?? 0.0,
            $fields->numberOrNull('heat_capacity_j_per_k', ...Quantity::HeatCapacity->bounds()),
            $fields->numberOrNull('rise_c', ...Quantity::HeatRise->bounds()),
            $fields->numberOrNull('target_c', ...Quantity::HeatTarget->bounds()),
            $fields->numberOrNull('baseline_start_c', ...Quantity::HeatUpStart->bounds()),
            $fields->numberOrNull('start_c', ...Quantity::HeatUpStart->bounds()),
            $copperAt,
        );
        $times->check();

        return $times;
    }

    /** By how much of the baseline today is slower, for the same rise; below 0 when it is quicker. */
    public function slower(): float
    {
        return $this->today / $this->sameRise() - 1;
    }

    /** What start, draught and the clock can make of it by themselves, as a share. */
    public function explained(): float
    {
        return self::DRAUGHT + self::CLOCK_S / $this->sameRise() + ($this->startsKnown() ? 0.0 : self::START_OFF / ($this->rise ?? self::USUAL_RISE));
    }

    /** Whether what was asked and where both rises began are all known, so that they can be set right for it. */
    public function startsKnown(): bool
    {
        return $this->target !== null && $this->startThen !== null && $this->startNow !== null;
    }

    /** The element’s resistance as today’s heat-up begins, Ω: where the contact takes most. */
    public function elementOhm(): float
    {
        return $this->measuredAt === null ? $this->element : $this->ohmAt($this->from());
    }

    /** Ω in the contact; 0 when it is no slower. */
    public function contact(): float
    {
        if ($this->slower() <= 0) {
            return 0.0;
        }
        if ($this->measuredAt !== null) {
            return $this->copperContact();
        }
        if (! $this->loses()) {
            return $this->element * (sqrt($this->today / $this->sameRise()) - 1);
        }
        $rise = (float) $this->rise;
        // a loss makes today’s time grow faster than the square; both ends are undone exactly
        $capacity = $this->capacity ?? $this->fittedCapacity();
        $arrives = $this->loss * $rise / -expm1(-$this->loss * $this->today / $capacity);

        return max(0.0, $this->volts * sqrt($this->element / $arrives) - $this->element);
    }

    /** @throws InputError */
    private function check(): void
    {
        foreach (['baseline_start_c' => $this->startThen, 'start_c' => $this->startNow] as $field => $start) {
            if ($start !== null && $this->target !== null && $start >= $this->target) {
                throw InputError::at($field, "{$field} is not below target_c: it would have nothing to heat.");
            }
        }
        if ($this->measuredAt !== null && ($this->startNow === null || ($this->target === null && $this->rise === null))) {
            throw InputError::at(
                $this->startNow === null ? 'start_c' : 'target_c',
                'Copper tracks gain 0.39 % of resistance with each kelvin: say start_c and target_c, from where to where it was heated.',
            );
        }
        if ($this->loss <= 0.0) {
            return;
        }
        if ($this->rise === null) {
            throw InputError::at('rise_c', 'rise_c is missing: with a loss it must be known how far it was heated.');
        }
        $hottest = $this->measuredAt === null ? $this->element : $this->ohmAt($this->from() + $this->rise);
        $power = $this->volts ** 2 / $hottest;
        if ($this->loss * $this->rise >= $power) {
            throw InputError::at(
                'loss_w_per_k',
                sprintf('With this loss %s W would never reach a rise of %s °C.', Said::figure($power), Said::figure($this->rise)),
            );
        }
        if ($this->loss * $this->rise > self::MOST_LOST * $power) {
            throw InputError::at(
                'loss_w_per_k',
                sprintf(
                    'With this loss %s of the power are gone before a rise of %s °C: nearly any contact would explain any time. Measure the loss again, or take a smaller rise.',
                    Said::percent($this->loss * $this->rise / $power),
                    Said::figure($this->rise),
                ),
            );
        }
        $fitted = $this->loses() && $this->capacity !== null && $this->measuredAt === null ? $this->fittedCapacity() : null;
        if ($fitted !== null && abs((float) $this->capacity / $fitted - 1) > self::CAPACITY_OFF) {
            throw InputError::at(
                'heat_capacity_j_per_k',
                sprintf(
                    'These figures contradict each other: the baseline of %s s with this loss takes %s J/K, not %s. Leave heat_capacity_j_per_k out, or measure the loss again.',
                    Said::figure($this->baseline),
                    Said::figure($fitted),
                    Said::figure((float) $this->capacity),
                ),
            );
        }
    }

    private function loses(): bool
    {
        return $this->loss * (float) $this->rise * $this->element / $this->volts ** 2 > self::NO_LOSS;
    }

    private function fittedCapacity(): float
    {
        return -$this->sameRise() * $this->loss / log1p(-$this->loss * (float) $this->rise * $this->element / $this->volts ** 2);
    }

    /** The baseline’s time for today’s rise, s. */
    private function sameRise(): float
    {
        if ($this->target === null || $this->startThen === null || $this->startNow === null) {
            return $this->baseline;
        }
        if ($this->measuredAt === null) {
            return $this->baseline * ($this->target - $this->startNow) / ($this->target - $this->startThen);
        }

        return $this->baseline * $this->seconds(0.0, $this->startNow) / $this->seconds(0.0, $this->startThen);
    }

    private function from(): float
    {
        return $this->startNow ?? Copper::REFERENCE_C;
    }

    private function ohmAt(float $celsius): float
    {
        return $this->element * Copper::ratio($this->measuredAt ?? Copper::REFERENCE_C, $celsius);
    }

    /** s per J/K from a start to the target with so much in the contact; INF where it never gets there. */
    private function seconds(float $contact, float $start): float
    {
        $end = $this->target ?? $start + (float) $this->rise;
        $step = ($end - $start) / self::INTERVALS;
        $sum = 0.0;
        for ($i = 0; $i <= self::INTERVALS; $i++) {
            $celsius = $start + $i * $step;
            $ohm = $this->ohmAt($celsius);
            $watts = $this->volts ** 2 * $ohm / ($ohm + $contact) ** 2 - $this->loss * ($celsius - $start);
            if ($watts <= 0) {
                return INF;
            }
            $sum += ($i === 0 || $i === self::INTERVALS ? 1 : ($i % 2 === 1 ? 4 : 2)) / $watts;
        }

        return $sum * $step / 3;
    }

    private function copperContact(): float
    {
        $start = $this->from();
        $wanted = $this->today / $this->sameRise() * $this->seconds(0.0, $start);
        [$low, $high] = [0.0, $this->element];
        while ($this->seconds($high, $start) < $wanted && $high < 1e9) {
            $high *= 2;
        }
        for ($i = 0; $i < self::HALVINGS && $high - $low > 1e-12 * $high; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $this->seconds($middle, $start) < $wanted ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2;
    }
}
