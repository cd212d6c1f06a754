<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;

/**
 * What a bad contact before a heater takes, from heating slower than it used to or from the voltage that arrives.
 *
 * Without losses the time to the same rise goes with 1/P, so r = R(√(t1/t0) − 1). With a loss k per kelvin,
 * C dT/dt = P − kΔT: the heat capacity is fitted so that the baseline holds, then r so that today’s time does; both have
 * a closed form. Limits of the connector’s heat are common practice: a small connector chars.
 */
final readonly class ContactResistance implements Computation
{
    private const WATCH_FROM_W = 1.0;

    private const OUT_FROM_W = 3.0;

    private const DANGER_FROM_W = 8.0;

    public function name(): string
    {
        return 'contact-resistance';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $element = $fields->number('resistance_ohm', 0.2, 1000, 'Ω');
        $volts = $fields->number('volts', 3, 260, 'V');
        [$contact, $note] = $fields->has('volts_at_load') ? $this->fromDrop($fields, $element, $volts) : $this->fromTimes($fields, $element, $volts);
        $fields->done();
        $connector = $volts ** 2 * $contact / ($element + $contact) ** 2;
        $verdict = match (true) {
            $connector > self::DANGER_FROM_W => 'danger',
            $connector > self::OUT_FROM_W => 'out',
            $connector >= self::WATCH_FROM_W => 'watch',
            default => 'ok',
        };

        return [
            'contact_ohm' => $contact,
            'connector_w' => $connector,
            'load_w' => $volts ** 2 * $element / ($element + $contact) ** 2,
            'verdict' => $verdict,
            'because' => sprintf('%s Ω in the contact make %s W of heat in the connector%s.', Said::figure($contact), Said::figure($connector), $verdict === 'danger' ? ': unplug, a small connector chars at that' : '').$note,
        ];
    }

    /** @return array{float, string} */
    private function fromDrop(Fields $fields, float $element, float $volts): array
    {
        $arrives = $fields->number('volts_at_load', 0.5, 260, 'V');
        if ($arrives > $volts) {
            throw InputError::at('volts_at_load', 'volts_at_load is above volts: measure both under load, at the supply and at the heater.');
        }

        return [($volts - $arrives) / ($arrives / $element), ''];
    }

    /** @return array{float, string} */
    private function fromTimes(Fields $fields, float $element, float $volts): array
    {
        $baseline = $fields->number('baseline_s', 1, 20_000, 's');
        $today = $fields->number('today_s', 1, 20_000, 's');
        $loss = $fields->numberOrNull('loss_w_per_k', 0, 100, 'W/K') ?? 0.0;
        $capacity = $fields->numberOrNull('heat_capacity_j_per_k', 0.5, 100_000, 'J/K');
        $rise = $fields->numberOrNull('rise_c', 1, 400, '°C');
        if ($today <= $baseline) {
            return [0.0, ' It heats no slower than its baseline.'];
        }
        if ($loss <= 0.0) {
            return [$element * (sqrt($today / $baseline) - 1), ''];
        }
        if ($rise === null) {
            throw InputError::at('rise_c', 'rise_c is missing: with a loss it must be known how far it was heated.');
        }
        $power = $volts ** 2 / $element;
        if ($loss * $rise >= $power) {
            throw InputError::at('loss_w_per_k', sprintf('With this loss %s W would never reach a rise of %s °C.', Said::figure($power), Said::figure($rise)));
        }
        $capacity ??= -$baseline * $loss / log(1 - $loss * $rise / $power);
        $arrives = $loss * $rise / (1 - exp(-$loss * $today / $capacity));

        return [max(0.0, $volts * sqrt($element / $arrives) - $element), ''];
    }
}
