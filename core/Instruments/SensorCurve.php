<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * How a temperature sensor’s resistance goes with temperature.
 *
 * beta: R = R0·exp(B(1/T − 1/T0)). steinhart-hart: 1/T = a + b·ln R + c·(ln R)³ (Steinhart and Hart 1968). rtd:
 * Callendar–Van Dusen with the coefficients of IEC 60751:2022. Temperatures in °C, resistances in Ω.
 */
final readonly class SensorCurve
{
    private const ZERO_K = 273.15;

    private const A = 3.9083e-3;

    private const B = -5.775e-7;

    /** Below 0 °C only. */
    private const C = -4.183e-12;

    private const HOTTEST_C = 2000.0;

    /** No sensor of any kind has less or more, Ω. */
    private const OHMS = [1e-3, 1e12];

    public const LEAST_C = -200.0;

    public const MOST_C = 850.0;

    /** @param  array<string, float>  $of  the model’s own figures */
    private function __construct(private string $type, private array $of)
    {
    }

    /** @throws InputError for a model nobody knows, or one without its figures */
    public static function read(Fields $model): self
    {
        $type = $model->choice('type', ['beta', 'steinhart-hart', 'rtd']);
        $of = match ($type) {
            'beta' => [
                'r0' => $model->number('r0_ohm', ...Quantity::ThermistorOhm->bounds()),
                't0' => $model->numberOrNull('t0_c', ...Quantity::SensorReference->bounds()) ?? 25.0,
                'b' => $model->number('beta_k', ...Quantity::SensorBeta->bounds()),
            ],
            'steinhart-hart' => [
                'a' => $model->number('a', ...Quantity::SteinhartA->bounds()),
                'b' => $model->number('b', ...Quantity::SteinhartB->bounds()),
                'c' => $model->number('c', ...Quantity::SteinhartC->bounds()),
            ],
            default => ['r0' => $model->numberOrNull('r0_ohm', ...Quantity::RtdOhm->bounds()) ?? 100.0],
        };
        $model->done();

        return new self($type, $of);
    }

    /** Resistance falls as temperature rises. */
    public function falls(): bool
    {
        return $this->type !== 'rtd';
    }

    /** @throws InputError where the model has no such temperature */
    public function ohms(float $celsius, string $field = 'temperature_c'): float
    {
        $ohms = match ($this->type) {
            'beta' => $this->of['r0'] * exp($this->of['b'] * (1 / ($celsius + self::ZERO_K) - 1 / ($this->of['t0'] + self::ZERO_K))),
            'steinhart-hart' => exp($this->lnOhms(1 / ($celsius + self::ZERO_K), $field)),
            default => $this->of['r0'] * $this->ratio($celsius),
        };

        return $ohms >= self::OHMS[0] && $ohms <= self::OHMS[1] ? $ohms : throw InputError::at(
            $field,
            'This model gives no resistance that a sensor could have at such a temperature.',
        );
    }

    /** @throws InputError where the model has no such resistance */
    public function celsius(float $ohms, string $field = 'resistance_ohm'): float
    {
        $inverse = match ($this->type) {
            'beta' => self::ln($ohms / $this->of['r0']) / $this->of['b'] + 1 / ($this->of['t0'] + self::ZERO_K),
            'steinhart-hart' => $this->of['a'] + $this->of['b'] * self::ln($ohms) + $this->of['c'] * self::ln($ohms) ** 3,
            default => null,
        };
        if ($inverse === null) {
            return $this->rtdCelsius($ohms / $this->of['r0'], $field);
        }
        if (! is_finite($inverse) || $inverse <= 0 || 1 / $inverse - self::ZERO_K > self::HOTTEST_C) {
            throw InputError::at($field, 'This model gives no temperature for such a resistance.');
        }

        return 1 / $inverse - self::ZERO_K;
    }

    /** A resistance of nothing is colder than anything, or hotter: its logarithm has no end. */
    private static function ln(float $x): float
    {
        return $x > 0 ? log($x) : -INF;
    }

    /** ln R of 1/T by Newton’s method; the curve is monotonic where it is used. */
    private function lnOhms(float $inverse, string $field): float
    {
        ['a' => $a, 'b' => $b, 'c' => $c] = $this->of;
        $x = ($inverse - $a) / $b;
        for ($i = 0; $i < 60; $i++) {
            $slope = $b + 3 * $c * $x ** 2;
            if ($slope <= 0) {
                break;
            }
            $step = ($a + $b * $x + $c * $x ** 3 - $inverse) / $slope;
            $x -= $step;
            if (abs($step) < 1e-13 * max(1.0, abs($x))) {
                return $x;
            }
        }
        throw InputError::at($field, 'This model gives no resistance for such a temperature.');
    }

    private function ratio(float $celsius): float
    {
        return 1 + self::A * $celsius + self::B * $celsius ** 2 + ($celsius < 0 ? self::C * ($celsius - 100) * $celsius ** 3 : 0.0);
    }

    private function rtdCelsius(float $ratio, string $field): float
    {
        // tables are rounded: a little past the ends is still of the sensor
        if ($ratio < $this->ratio(self::LEAST_C) - 0.001 || $ratio > $this->ratio(self::MOST_C) + 0.001) {
            throw InputError::at(
                $field,
                sprintf(
                    'Such a sensor is from %s to %s Ω.',
                    Said::figure($this->of['r0'] * $this->ratio(self::LEAST_C)),
                    Said::figure($this->of['r0'] * $this->ratio(self::MOST_C)),
                ),
            );
        }
        // above 0 °C the quadratic has a closed form; below, Newton's method from there
        $celsius = (-self::A + sqrt(self::A ** 2 - 4 * self::B * (1 - $ratio))) / (2 * self::B);
        for ($i = 0; $ratio < 1 && $i < 60; $i++) {
            $slope = self::A + 2 * self::B * $celsius + self::C * (4 * $celsius ** 3 - 300 * $celsius ** 2);
            $step = ($this->ratio($celsius) - $ratio) / $slope;
            $celsius -= $step;
            if (abs($step) < 1e-12) {
                break;
            }
        }

        return $celsius;
    }
}
