<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * What a bad contact before a heater takes, from heating slower than it used to or from the voltage that arrives.
 *
 * How heat-up times give it stands at HeatUpTimes. Limits are common practice: a small connector chars, and a heater that
 * gets a tenth less than it should wants its plug looked at.
 */
final readonly class ContactResistance implements Computation
{
    private const WATCH_FROM_W = 1.0;

    private const OUT_FROM_W = 3.0;

    private const DANGER_FROM_W = 8.0;

    /** Share of its power that a heater loses to its contact. */
    private const LOSS_WATCH = 0.1;

    private const LOSS_OUT = 0.2;

    /** A heat-up so much quicker than its baseline compares two different things. */
    private const QUICKER = 0.7;

    public function name(): string
    {
        return 'contact-resistance';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $element = $fields->number('resistance_ohm', ...Quantity::ElementOhm->bounds());
        $volts = $fields->number('volts', ...Quantity::SupplyVolts->bounds());
        $copper = $fields->choice('element', ['steady', 'copper'], 'steady') === 'copper';
        $measuredAt = $fields->numberOrNull('measured_c', ...Quantity::ElementCelsius->bounds()) ?? Copper::REFERENCE_C;
        if ($fields->has('volts_at_load')) {
            $element *= $copper ? Copper::ratio(
                $measuredAt,
                $fields->numberOrNull('load_c', ...Quantity::ElementCelsius->bounds()) ?? $measuredAt,
            ) : 1.0;
            [$contact, $note, $doubt] = [$this->fromDrop($fields, $element, $volts), '', false];
        } else {
            $times = HeatUpTimes::read($fields, $element, $volts, $copper ? $measuredAt : null);
            $element = $times->elementOhm();
            [$contact, $note, $doubt] = $this->fromTimes($times);
        }
        $fields->done();
        $connector = $volts ** 2 * $contact / ($element + $contact) ** 2;
        $load = $volts ** 2 * $element / ($element + $contact) ** 2;
        $lost = 1 - ($element / ($element + $contact)) ** 2;
        $verdict = match (true) {
            $doubt && ($contact <= 0.0 || $connector >= self::WATCH_FROM_W || $lost > self::LOSS_WATCH) => 'inconclusive',
            $connector > self::DANGER_FROM_W => 'danger',
            $connector > self::OUT_FROM_W || $lost > self::LOSS_OUT => 'out',
            $connector >= self::WATCH_FROM_W || $lost > self::LOSS_WATCH => 'watch',
            default => 'ok',
        };

        return [
            'contact_ohm' => $contact,
            'connector_w' => $connector,
            'load_w' => $load,
            'lost_share' => $lost,
            'verdict' => $verdict,
            'because' => sprintf(
                '%s Ω in the contact make %s W of heat in the connector%s; the heater gets %s of its %s W.',
                Said::figure($contact),
                Said::figure($connector),
                $verdict === 'danger' ? ': unplug, a small connector chars at that' : '',
                Said::figure($load),
                Said::figure($volts ** 2 / $element),
            )
                .($lost > self::LOSS_OUT && $verdict === 'out' ? ' Unplug it before you touch the contact: one that takes this much grows hot as soon as it closes better.' : '')
                    .$note,
        ];
    }

    private function fromDrop(Fields $fields, float $element, float $volts): float
    {
        $arrives = $fields->number('volts_at_load', ...Quantity::LoadVolts->bounds());
        if ($arrives > $volts) {
            throw InputError::at(
                'volts_at_load',
                'volts_at_load is above volts: measure both under load, at the supply and at the heater.',
            );
        }

        return ($volts - $arrives) / ($arrives / $element);
    }

    /** @return array{float, string, bool} what is in the contact, a note, whether something else may explain it */
    private function fromTimes(HeatUpTimes $times): array
    {
        $slower = $times->slower();
        if ($slower <= 0) {
            return $slower < self::QUICKER - 1
                ? [
                    0.0,
                    sprintf(
                        ' It heats up in %s of its baseline’s time: no contact does that. Look at the sensor, and whether the baseline is this machine’s.',
                        Said::percent(1 + $slower),
                    ),
                    true,
                ]
                : [0.0, ' It heats no slower than its baseline.', false];
        }
        if ($slower > $times->explained()) {
            return [$times->contact(), '', false];
        }

        return [
            $times->contact(),
            sprintf(
                ' But %s %% slower is within what %s can explain: measure again from the same start, or the drop under load.',
                Said::figure(100 * $slower),
                $times->startsKnown() ? 'draught and the clock' : 'another start, draught and the clock',
            ),
            true,
        ];
    }
}
