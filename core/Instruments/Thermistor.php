<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * A temperature sensor’s resistance to temperature or back, whether it is sound, and what the board will show. Limits are common practice.
 */
final readonly class Thermistor implements Computation
{
    private const OPEN_FROM = 20.0;

    private const SHORT_BELOW = 0.05;

    private const OFF_CURVE_C = 5.0;

    public function name(): string
    {
        return 'thermistor';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        if (! $fields->has('model')) {
            throw InputError::at('model', 'model is missing: its type (beta, steinhart-hart or rtd) and figures.');
        }
        $curve = SensorCurve::read($fields->object('model'));
        if ($fields->has('resistance_ohm') === $fields->has('temperature_c')) {
            throw InputError::at('resistance_ohm', 'Give either resistance_ohm or temperature_c.');
        }
        $measured = $fields->has('resistance_ohm');
        $ambient = $fields->numberOrNull('ambient_c', ...Quantity::RoomCelsius->bounds());
        $ohms = $measured ? $fields->numberOrNone(
            'resistance_ohm',
            ...Quantity::SensorOhm->bounds(),
        ) : $curve->ohms($fields->number('temperature_c', SensorCurve::LEAST_C, SensorCurve::MOST_C, '°C'));
        $adc = $fields->has('adc') ? $this->adc($fields->object('adc'), $curve, $ohms) : [];
        $fields->done();
        if (! $measured) {
            return ['resistance_ohm' => $ohms] + $adc;
        }

        return ($ambient === null ? ['temperature_c' => $curve->celsius($ohms)] : $this->judge($curve, $ohms, $ambient)) + $adc;
    }

    /** @return array<string, mixed> */
    private function judge(SensorCurve $curve, float $ohms, float $ambient): array
    {
        $expected = $curve->ohms($ambient, 'ambient_c');
        $state = $ohms > self::OPEN_FROM * $expected ? 'open' : ($ohms < self::SHORT_BELOW * $expected ? 'short' : null);
        $celsius = $state === null ? $curve->celsius($ohms) : null;
        $state ??= abs((float) $celsius - $ambient) > self::OFF_CURVE_C ? 'off-curve' : 'ok';
        $is = sprintf('%s Ω measured, %s Ω belong to %s °C', Said::figure($ohms), Said::figure($expected), Said::figure($ambient));

        return [
            'temperature_c' => $celsius,
            'expected_ohm' => $expected,
            'state' => $state,
            'verdict' => $state === 'ok' ? 'ok' : 'out',
            'because' => match ($state) {
                'open' => "{$is}: it is open.",
                'short' => "{$is}: it is shorted.",
                'off-curve' => sprintf('%s: it stands for %s °C, off its curve or the wrong sensor.', $is, Said::figure((float) $celsius)),
                default => sprintf('%s: %s °C, as it should.', $is, Said::figure((float) $celsius)),
            },
        ];
    }

    /**
     * The sensor is the lower arm of a divider: code = round((2^bits − 1)·R/(R + pullup)).
     *
     * @return array{adc_code: int, board_shows_c: float|null}
     */
    private function adc(Fields $adc, SensorCurve $curve, float $ohms): array
    {
        $full = 2 ** $adc->whole('bits', ...Quantity::ConverterBits->bounds()) - 1;
        $pullup = $adc->number('pullup_ohm', ...Quantity::PullUpOhm->bounds());
        $adc->done();
        $code = (int) round($full * $ohms / ($ohms + $pullup));
        try {
            $shows = $code <= 0 || $code >= $full ? null : $curve->celsius($pullup * $code / ($full - $code));
        } catch (InputError) {
            $shows = null;
        }

        return ['adc_code' => $code, 'board_shows_c' => $shows];
    }
}
