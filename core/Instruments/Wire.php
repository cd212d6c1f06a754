<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * What a pair of copper wires takes and how warm it gets: d = 0.127·92^((36 − n)/39) mm (ASTM B258), resistance of copper by
 * IEC 60028. The length is one way, the resistance there and back. Limits of drop, current density and warmth are common
 * practice; what a wire may carry, and anything at mains, follows local rules.
 */
final readonly class Wire implements Computation
{
    private const WATCH_PCT = 3.0;

    private const OUT_PCT = 5.0;

    /** A/mm²: more than this only where nothing lies beside it; and more than that nowhere in a loom. */
    private const WATCH_DENSITY = 10.0;

    private const OUT_DENSITY = 16.0;

    /** K above the air: usual insulation stands 70 °C, the air in a machine is 25 to 40. */
    private const WATCH_RISE = 30.0;

    private const OUT_RISE = 45.0;

    private const DANGER_RISE = 80.0;

    private const AIR_C = 25.0;

    public function name(): string
    {
        return 'wire';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $area = $this->area($fields);
        $length = $fields->number('length_m', ...Quantity::WireLength->bounds());
        $amps = $fields->number('amps', ...Quantity::WireAmps->bounds());
        $volts = $fields->numberOrNull('volts', ...Quantity::WireVolts->bounds());
        $celsius = $fields->numberOrNull('conductor_c', ...Quantity::WireCelsius->bounds()) ?? Copper::REFERENCE_C;
        $air = $fields->numberOrNull('air_c', ...Quantity::WireAir->bounds()) ?? self::AIR_C;
        $fields->done();
        $resistance = 2 * $length * Copper::OHM_MM2_PER_M / $area * Copper::at($celsius);
        $drop = $amps * $resistance;
        $result = ['diameter_mm' => 2 * sqrt($area / M_PI), 'area_mm2' => $area, 'resistance_ohm' => $resistance, 'drop_v' => $drop];
        if ($volts !== null) {
            if ($drop >= $volts) {
                throw InputError::at(
                    'amps',
                    sprintf('%s A cannot flow: the wire alone would take all of the %s V.', Said::figure($amps), Said::figure($volts)),
                );
            }
            $result['drop_pct'] = 100 * $drop / $volts;
        }
        $rise = WireHeat::rise($amps, $area, $air);

        return $result + [
            'loss_w' => $amps ** 2 * $resistance,
            'density_a_mm2' => $amps / $area,
            'rise_k' => $rise,
            'conductor_reaches_c' => $rise === null ? null : $air + $rise,
        ]
            + $this->judge($drop, $result['drop_pct'] ?? null, $amps / $area, $rise, $air);
    }

    private function area(Fields $fields): float
    {
        if ($fields->has('awg') === $fields->has('area_mm2')) {
            throw InputError::at('awg', 'Give either awg or area_mm2.');
        }
        if ($fields->has('area_mm2')) {
            return $fields->number('area_mm2', ...Quantity::WireArea->bounds());
        }
        $diameter = 0.127 * 92 ** ((36 - $fields->whole('awg', ...Quantity::WireGauge->bounds())) / 39);

        return M_PI * $diameter ** 2 / 4;
    }

    /** @return array{verdict: string, because: string} the worst of drop, density and warmth */
    private function judge(float $drop, ?float $pct, float $density, ?float $rise, float $air): array
    {
        $warm = $rise ?? INF;
        $verdict = match (true) {
            $warm > self::DANGER_RISE => 'danger',
            $warm > self::OUT_RISE || $density > self::OUT_DENSITY || ($pct ?? 0.0) > self::OUT_PCT => 'out',
            $warm > self::WATCH_RISE || $density > self::WATCH_DENSITY || ($pct ?? 0.0) > self::WATCH_PCT => 'watch',
            default => 'ok',
        };
        $heat = $rise === null
            ? sprintf('%s A/mm²: it grows hotter until its insulation burns.', Said::figure($density))
            : sprintf(
                '%s A/mm² warm it by %s K, to %s °C in still air; several in one loom grow warmer.',
                Said::figure($density),
                Said::figure($rise),
                Said::figure($air + $rise),
            );

        return [
            'verdict' => $verdict,
            'because' => ($pct === null ? sprintf('%s V stay in the wire. ', Said::figure($drop)) : sprintf(
                '%s V stay in the wire, %s %% of the supply; up to 3 %% is well. ',
                Said::figure($drop),
                Said::figure($pct),
            )).$heat.' What it may carry follows local rules.',
        ];
    }
}
