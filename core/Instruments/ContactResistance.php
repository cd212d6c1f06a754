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
 * a closed form. Times are brought to the same rise where both start temperatures are told (without losses the time goes
 * with the rise). What start, draught and the clock can explain by themselves settles nothing. Limits of the connector’s
 * heat are common practice: a small connector chars.
 */
final readonly class ContactResistance implements Computation
{
    private const WATCH_FROM_W = 1.0;

    private const OUT_FROM_W = 3.0;

    private const DANGER_FROM_W = 8.0;

    /** What a rise can be off by where nobody wrote down from where it began, in kelvins, and the usual rise it is off. */
    private const START_OFF = 5.0;

    private const USUAL_RISE = 40.0;

    /** A draught or a cold plate, as a share of the time. */
    private const DRAUGHT = 0.03;

    /** A hand on a watch, both times together. */
    private const CLOCK_S = 4.0;

    public function name(): string
    {
        return 'contact-resistance';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $element = $fields->number('resistance_ohm', 0.2, 1000, 'Ω');
        $volts = $fields->number('volts', 3, 260, 'V');
        [$contact, $note, $explained] = $fields->has('volts_at_load') ? $this->fromDrop($fields, $element, $volts) : $this->fromTimes($fields, $element, $volts);
        $fields->done();
        $connector = $volts ** 2 * $contact / ($element + $contact) ** 2;
        $verdict = match (true) {
            $explained && $connector >= self::WATCH_FROM_W => 'inconclusive',
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

    /** @return array{float, string, bool} */
    private function fromDrop(Fields $fields, float $element, float $volts): array
    {
        $arrives = $fields->number('volts_at_load', 0.5, 260, 'V');
        if ($arrives > $volts) {
            throw InputError::at('volts_at_load', 'volts_at_load is above volts: measure both under load, at the supply and at the heater.');
        }

        return [($volts - $arrives) / ($arrives / $element), '', false];
    }

    /** @return array{float, string, bool} what is in the contact, a note, whether something else explains it */
    private function fromTimes(Fields $fields, float $element, float $volts): array
    {
        $baseline = $fields->number('baseline_s', 1, 20_000, 's');
        $today = $fields->number('today_s', 1, 20_000, 's');
        $loss = $fields->numberOrNull('loss_w_per_k', 0, 100, 'W/K') ?? 0.0;
        $capacity = $fields->numberOrNull('heat_capacity_j_per_k', 0.5, 100_000, 'J/K');
        $rise = $fields->numberOrNull('rise_c', 1, 400, '°C');
        [$baseline, $known] = $this->sameRise($fields, $baseline);
        if ($today <= $baseline) {
            return [0.0, ' It heats no slower than its baseline.', false];
        }
        $explains = self::DRAUGHT + self::CLOCK_S / $baseline + ($known ? 0.0 : self::START_OFF / ($rise ?? self::USUAL_RISE));
        $explained = $today / $baseline - 1 <= $explains;
        $note = $explained ? sprintf(' But %s %% slower is within what %s can explain: measure again from the same start, or the drop under load.', Said::figure(100 * ($today / $baseline - 1)), $known ? 'draught and the clock' : 'another start, draught and the clock') : '';
        if ($loss <= 0.0) {
            return [$element * (sqrt($today / $baseline) - 1), $note, $explained];
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

        return [max(0.0, $volts * sqrt($element / $arrives) - $element), $note, $explained];
    }

    /**
     * The baseline’s time for today’s rise.
     *
     * @return array{float, bool} seconds, and whether both starts are known
     */
    private function sameRise(Fields $fields, float $baseline): array
    {
        $target = $fields->numberOrNull('target_c', 1, 450, '°C');
        $then = $fields->numberOrNull('baseline_start_c', -40, 400, '°C');
        $now = $fields->numberOrNull('start_c', -40, 400, '°C');
        if ($target === null || $then === null || $now === null) {
            return [$baseline, false];
        }
        foreach (['baseline_start_c' => $then, 'start_c' => $now] as $field => $start) {
            if ($start >= $target) {
                throw InputError::at($field, "{$field} is not below target_c: it would have nothing to heat.");
            }
        }

        return [$baseline * ($target - $now) / ($target - $then), true];
    }
}
