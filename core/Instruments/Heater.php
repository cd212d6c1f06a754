<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Units\Quantity;

/** A heater by its cold resistance: R = V²/P (Joule); copper tracks gain 0.39 %/K (IEC 60028). Limits are common practice. */
final readonly class Heater implements Computation
{
    private const OPEN_FROM = 20.0;

    private const SHORT_BELOW = 0.5;

    private const OFF_VALUE_PCT = 15.0;

    public function name(): string
    {
        return 'heater';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $volts = $fields->number('volts', ...Quantity::SupplyVolts->bounds());
        $rated = $fields->number('rated_w', ...Quantity::RatedWatts->bounds());
        $measured = $fields->has('measured_ohm') ? $fields->numberOrNone('measured_ohm', ...Quantity::MeasuredOhm->bounds()) : null;
        $copper = $fields->choice('element', ['steady', 'copper'], 'steady') === 'copper';
        $at = $fields->numberOrNull('measured_c', ...Quantity::ElementCelsius->bounds()) ?? Copper::REFERENCE_C;
        $fields->done();
        // what is rated is rated cold; a copper track measured warm has more
        $expected = $volts ** 2 / $rated * ($copper ? Copper::ratio(Copper::REFERENCE_C, $at) : 1.0);
        $result = ['expected_ohm' => $expected, 'current_a' => $volts / $expected];
        if ($measured === null) {
            return $result;
        }
        $deviation = 100 * ($measured / $expected - 1);
        $state = match (true) {
            $measured > self::OPEN_FROM * $expected => 'open',
            $measured < self::SHORT_BELOW * $expected => 'short',
            abs($deviation) > self::OFF_VALUE_PCT => 'off-value',
            default => 'ok',
        };

        return $result + [
            'measured_w' => $measured > 0 ? $volts ** 2 / $measured : null,
            'deviation_pct' => $deviation,
            'state' => $state,
            'verdict' => ['ok' => 'ok', 'off-value' => 'out', 'open' => 'out', 'short' => 'danger'][$state],
            'because' => $this->because($state, $measured, $expected, $volts),
        ];
    }

    private function because(string $state, float $measured, float $expected, float $volts): string
    {
        $asked = sprintf('%s Ω measured, %s Ω belong to it', Said::figure($measured), Said::figure($expected));

        return match ($state) {
            'open' => "{$asked}: it is open.",
            'short' => "{$asked}: it is shorted, and would draw "
                .($measured > 0 ? Said::figure($volts / $measured).' A.' : 'whatever the supply gives.'),
            'off-value' => sprintf(
                '%s: at %s V it would give %s W. A wrong part, or a contact in the way.',
                $asked,
                Said::figure($volts),
                Said::figure($volts ** 2 / $measured),
            ),
            default => "{$asked}.",
        };
    }
}
