<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;

/**
 * What a pair of copper wires takes: d = 0.127·92^((36 − n)/39) mm (ASTM B258), 1/58 Ω·mm²/m at 20 °C with 0.00393 per
 * kelvin (IEC 60028). The length is one way, the resistance there and back. Limits of the drop are common practice;
 * what a wire may carry, and anything at mains, follows local rules.
 */
final readonly class Wire implements Computation
{
    private const RESISTIVITY = 1 / 58;

    private const PER_K = 0.00393;

    private const WATCH_PCT = 3.0;

    private const OUT_PCT = 5.0;

    public function name(): string
    {
        return 'wire';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $area = $this->area($fields);
        $length = $fields->number('length_m', 0.01, 100, 'm');
        $amps = $fields->number('amps', 0.001, 200, 'A');
        $volts = $fields->numberOrNull('volts', 1, 400, 'V');
        $celsius = $fields->numberOrNull('conductor_c', -40, 200, '°C') ?? 20.0;
        $fields->done();
        $resistance = 2 * $length * self::RESISTIVITY / $area * (1 + self::PER_K * ($celsius - 20));
        $drop = $amps * $resistance;
        $result = ['diameter_mm' => 2 * sqrt($area / M_PI), 'area_mm2' => $area, 'resistance_ohm' => $resistance, 'drop_v' => $drop];
        if ($volts !== null) {
            if ($drop >= $volts) {
                throw InputError::at('amps', sprintf('%s A cannot flow: the wire alone would take all of the %s V.', Said::figure($amps), Said::figure($volts)));
            }
            $result['drop_pct'] = 100 * $drop / $volts;
        }

        return $result + ['loss_w' => $amps ** 2 * $resistance] + $this->judge($drop, $result['drop_pct'] ?? null);
    }

    private function area(Fields $fields): float
    {
        if ($fields->has('awg') === $fields->has('area_mm2')) {
            throw InputError::at('awg', 'Give either awg or area_mm2.');
        }
        if ($fields->has('area_mm2')) {
            return $fields->number('area_mm2', 0.005, 120, 'mm²');
        }
        $diameter = 0.127 * 92 ** ((36 - $fields->whole('awg', 0, 40)) / 39);

        return M_PI * $diameter ** 2 / 4;
    }

    /** @return array{}|array{verdict: string, because: string} */
    private function judge(float $drop, ?float $pct): array
    {
        if ($pct === null) {
            return [];
        }

        return [
            'verdict' => $pct > self::OUT_PCT ? 'out' : ($pct > self::WATCH_PCT ? 'watch' : 'ok'),
            'because' => sprintf('%s V stay in the wire, %s %% of the supply; up to 3 %% is well. What it may carry follows local rules.', Said::figure($drop), Said::figure($pct)),
        ];
    }
}
