<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Units\Quantity;

/**
 * Control constants from the oscillation under on-off control: Ku = 4d/(πa), a half of peak to peak, Tu the period
 * (Åström and Hägglund 1984). By Ziegler and Nichols (1942) Kp 0.6 Ku, Ki 2 Kp/Tu, Kd Kp·Tu/8; by Tyreus and Luyben (1992,
 * Ind. Eng. Chem. Res. 31, 2625–2628) Kp Ku/2.2, Ti 2.2 Tu, Td Tu/6.3; by SIMC (Skogestad 2003, J. Process Control 13,
 * 291–309) for a process that integrates after a dead time θ = Tu/4: Kp Ku/π, Ti 8θ = 2 Tu, no derivative.
 */
final readonly class RelayTune implements Computation
{
    public function name(): string
    {
        return 'relay-tune';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $relay = $fields->number('relay_amplitude', ...Quantity::RelayStep->bounds());
        $swing = $fields->has('amplitude_c') || $fields->has('period_s') ? null : Swing::of(HeatLog::read($fields));
        $amplitude = $swing === null ? $fields->number('amplitude_c', ...Quantity::SwingHeight->bounds()) : $swing->amplitude;
        $period = $swing === null ? $fields->number('period_s', ...Quantity::SwingPeriod->bounds()) : $swing->period;
        $fields->done();
        $ku = 4 * $relay / (M_PI * $amplitude);
        $kp = 0.6 * $ku;

        return [
            'amplitude_c' => $amplitude,
            'ku' => $ku,
            'tu_s' => $period,
            'kp' => $kp,
            'ki' => 2 * $kp / $period,
            'kd' => $kp * $period / 8,
            'on_share' => $swing?->on,
            'rules' => [
                [
                    'name' => 'Ziegler–Nichols',
                    'kp' => $kp,
                    'ki' => 2 * $kp / $period,
                    'kd' => $kp * $period / 8,
                    'suits' => 'Quick, and overshoots by a quarter: for what is disturbed more than it is set anew.',
                ],
                [
                    'name' => 'Tyreus–Luyben',
                    'kp' => $ku / 2.2,
                    'ki' => $ku / 2.2 / (2.2 * $period),
                    'kd' => $ku / 2.2 * $period / 6.3,
                    'suits' => 'Suits a hot end: nearly as quick, overshoots little, stands a sock or a fan that changes.',
                ],
                [
                    'name' => 'SIMC',
                    'kp' => $ku / M_PI,
                    'ki' => $ku / M_PI / (2 * $period),
                    'kd' => 0.0,
                    'suits' => 'Suits a bed: slow and heavy, no derivative, so a noisy sensor does not shake the power.',
                ],
            ],
            'recommended' => 'Tyreus–Luyben',
            'because' => sprintf('It swings by ±%s °C every %s s%s. Ziegler–Nichols overshoots; a hot end is better off with Tyreus–Luyben (Kp %s, Ki %s, Kd %s), a bed with SIMC (Kp %s, Ki %s, no Kd). Tune at printing temperature, with the sock on.',
                Said::figure($amplitude), Said::figure($period), $this->seen($swing), Said::figure($ku / 2.2), Said::figure($ku / 2.2 / (2.2 * $period)), Said::figure($ku / 2.2 * $period / 6.3), Said::figure($ku / M_PI), Said::figure($ku / M_PI / (2 * $period))),
        ];
    }

    private function seen(?Swing $swing): string
    {
        return match (true) {
            $swing === null => '',
            abs($swing->on - 0.5) <= 0.02 => sprintf(', over %d whole cycles', $swing->cycles),
            default => sprintf(', over %d whole cycles, brought to half power from %s', $swing->cycles, Said::percent($swing->on)),
        };
    }
}
