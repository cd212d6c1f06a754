<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * Belt tension from the pitch of a plucked free span: T = 4·m·L²·f², the fundamental of a string (Mersenne 1636).
 *
 * Mass per length of 2 mm pitch rubber belts: 1.4 g per metre and millimetre of width (from memory of a maker’s
 * span-tension sheet). The slack side stays tight from 1.25 × half the effective pull on (common practice).
 */
final readonly class BeltTension implements Computation
{
    private const MASS_G_PER_M_MM = 1.4;

    private const SLACK_SIDE_FACTOR = 1.25;

    /** N for each millimetre of width that no mended machine's belt is at (common practice: 2 to 8 are usual). */
    private const MOST_N_PER_MM = 25.0;

    private const OK_WITHIN = 0.15;

    private const WATCH_WITHIN = 0.30;

    public function name(): string
    {
        return 'belt-tension';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $span = $fields->number('span_mm', ...Quantity::BeltSpan->bounds()) / 1000;
        $frequency = $fields->number('frequency_hz', ...Quantity::PluckPitch->bounds());
        $mass = $this->mass($fields) / 1000;
        $minimum = $this->minimum($fields);
        $reference = $fields->numberOrNull('reference_hz', ...Quantity::PluckPitch->bounds());
        $fields->done();
        $tension = 4 * $mass * $span ** 2 * $frequency ** 2;
        $most = self::MOST_N_PER_MM * $mass * 1000 / self::MASS_G_PER_M_MM;
        if ($tension > $most) {
            throw InputError::at(
                'frequency_hz',
                sprintf(
                    'That would be %s N; a belt of this size tears or lifts the motor long before (%s N). Was it an overtone, or is span_mm the whole loop?',
                    Said::figure($tension),
                    Said::figure($most),
                ),
            );
        }
        $result = ['tension_n' => $tension];
        if ($minimum !== null) {
            $result += ['min_tension_n' => $minimum, 'frequency_for_min_tension_hz' => sqrt($minimum / (4 * $mass * $span ** 2))];
        }
        if ($reference !== null) {
            $result['ratio_to_reference'] = ($frequency / $reference) ** 2;
        }

        return $result + $this->judge($tension, $minimum, $result['ratio_to_reference'] ?? null);
    }

    private function mass(Fields $fields): float
    {
        if ($fields->has('mass_g_per_m') === $fields->has('belt')) {
            throw InputError::at('belt', 'Give either belt (its width) or mass_g_per_m.');
        }
        if ($fields->has('mass_g_per_m')) {
            return $fields->number('mass_g_per_m', ...Quantity::BeltMass->bounds());
        }
        $belt = $fields->object('belt');
        $mass = $belt->number(
            'width_mm',
            ...Quantity::BeltWidth->bounds(),
        ) * ($belt->numberOrNull('mass_g_per_m_mm', ...Quantity::BeltMassPerWidth->bounds()) ?? self::MASS_G_PER_M_MM);
        $belt->done();

        return $mass;
    }

    private function minimum(Fields $fields): ?float
    {
        $moving = $fields->numberOrNull('moving_mass_kg', ...Quantity::MovingMass->bounds());
        $acceleration = $fields->numberOrNull('acceleration_mm_s2', ...Quantity::Acceleration->bounds());
        $friction = $fields->numberOrNull('friction_n', ...Quantity::Friction->bounds()) ?? 0.0;
        if (($moving === null) !== ($acceleration === null)) {
            throw InputError::at(
                $moving === null ? 'moving_mass_kg' : 'acceleration_mm_s2',
                'moving_mass_kg and acceleration_mm_s2 go together.',
            );
        }

        return $moving === null || $acceleration === null
            ? null
            : self::SLACK_SIDE_FACTOR * ($moving * $acceleration / 1000 + $friction) / 2;
    }

    /** @return array{}|array{verdict: string, because: string} */
    private function judge(float $tension, ?float $minimum, ?float $ratio): array
    {
        if ($minimum !== null && $tension < $minimum) {
            return [
                'verdict' => 'out',
                'because' => sprintf(
                    '%s N is below the %s N it takes to keep the slack side tight%s.',
                    Said::figure($tension),
                    Said::figure($minimum),
                    $ratio === null ? '' : ', whatever the reference says',
                ),
            ];
        }
        if ($ratio !== null) {
            $off = abs($ratio - 1);
            $verdict = $off <= self::OK_WITHIN ? 'ok' : ($off <= self::WATCH_WITHIN ? 'watch' : 'out');

            return [
                'verdict' => $verdict,
                'because' => sprintf(
                    '%s N, %s of the reference’s tension; within 15 %% is well, within 30 %% to be watched.',
                    Said::figure($tension),
                    Said::percent($ratio),
                ),
            ];
        }

        return $minimum === null ? [] : [
            'verdict' => 'ok',
            'because' => sprintf('%s N keeps the slack side tight; it takes %s N.', Said::figure($tension), Said::figure($minimum)),
        ];
    }
}
