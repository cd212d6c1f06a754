<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;

/**
 * Which screw it is, and whether it may stand in for another. Heads of ISO 4762 (cylinder), ISO 7380 (button) and
 * ISO 10642 (countersunk), coarse pitches of ISO 261. A thread holds from one diameter of engagement on in metal, two in
 * plastic (common practice); and it must not reach further than there is room.
 */
final readonly class Fastener implements Computation
{
    /** Lengths made (ISO 4762, table). */
    private const LENGTHS = [3, 4, 5, 6, 8, 10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100];

    private const HEADS = ['cylinder' => 'ISO 4762', 'button' => 'ISO 7380', 'countersunk' => 'ISO 10642'];

    private const ENGAGEMENT = ['metal' => 1.0, 'plastic' => 2.0];

    public function name(): string
    {
        return 'fastener';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $diameter = $this->nominal($fields->number('diameter_mm', 1.2, 13, 'mm'));
        $measured = $fields->number('length_mm', 2, 120, 'mm');
        $head = $fields->has('head') ? $fields->choice('head', ['cylinder', 'button', 'countersunk']) : null;
        $replaces = $fields->has('replaces') ? $this->designated($fields->text('replaces')) : null;
        $into = $fields->has('into') ? $fields->choice('into', ['metal', 'plastic']) : null;
        $engagement = $fields->numberOrNull('engagement_mm', 0, 100, 'mm');
        $room = $fields->numberOrNull('room_mm', 0, 200, 'mm');
        $fields->done();
        $length = $this->made($measured);
        [$pitch, $key] = Screw::SIZES[(string) $diameter];

        return [
            'designation' => Screw::sized($diameter, $length)->designation(),
            'standard' => $head === null ? null : self::HEADS[$head],
            'nominal_mm' => $diameter,
            'length_mm' => $length,
            'pitch_mm' => $pitch,
            'key_mm' => $head === 'cylinder' || $head === null ? $key : null,
        ] + $this->judge($diameter, $length, $replaces, $into, $engagement, $room);
    }

    /**
     * @param  array{float, float}|null  $replaces  diameter, length of the original
     * @return array<string, mixed>
     */
    private function judge(float $diameter, float $length, ?array $replaces, ?string $into, ?float $engagement, ?float $room): array
    {
        if ($replaces !== null && $replaces[0] !== $diameter) {
            return ['safe' => false, 'further_mm' => null, 'verdict' => 'out', 'because' => sprintf('An M%s does not go where an M%s was.', Screw::plain($diameter), Screw::plain($replaces[0]))];
        }
        $further = $replaces === null ? null : $length - $replaces[1];
        $against = [];
        if ($engagement !== null) {
            $holds = $engagement + min(0.0, $further ?? 0.0);
            $needs = self::ENGAGEMENT[$into ?? 'metal'] * $diameter;
            if ($holds < $needs) {
                $against[] = sprintf('%s mm of thread would hold; in %s it takes %s mm', Screw::plain($holds), $into ?? 'metal', Screw::plain($needs));
            }
        } elseif ($further !== null && $further < 0) {
            $against[] = sprintf('it is %s mm shorter, and it is not said how much thread would still hold', Screw::plain(-$further));
        }
        if ($further !== null && $further > ($room ?? 0.0)) {
            $against[] = sprintf('it goes %s mm further, and there is room for %s mm', Screw::plain($further), Screw::plain($room ?? 0.0));
        }
        if ($further === null && $engagement === null) {
            return ['safe' => null];
        }
        $because = $against === [] ? ($further === null || $further === 0.0 ? 'it holds and fits' : ($further > 0 ? sprintf('it goes %s mm further, and there is room', Screw::plain($further)) : sprintf('it is %s mm shorter and still holds', Screw::plain(-$further)))) : implode('; ', $against);

        return ['safe' => $against === [], 'further_mm' => $further, 'verdict' => $against === [] ? 'ok' : 'out', 'because' => ucfirst($because).'.'];
    }

    /** A thread measures a little under its nominal diameter. */
    private function nominal(float $measured): float
    {
        foreach (array_keys(Screw::SIZES) as $size) {
            $nominal = (float) $size;
            if ($measured <= $nominal * 1.02 && $measured >= $nominal * 0.9) {
                return $nominal;
            }
        }
        throw InputError::at('diameter_mm', sprintf('No metric screw measures %s mm across its thread. Measure over the crests.', Screw::plain($measured)));
    }

    private function made(float $measured): float
    {
        $nearest = 0.0;
        foreach (self::LENGTHS as $length) {
            if (abs($length - $measured) < abs($nearest - $measured)) {
                $nearest = (float) $length;
            }
        }
        if (abs($nearest - $measured) > max(0.6, 0.04 * $nearest)) {
            throw InputError::at('length_mm', sprintf('No such screw is made %s mm long; the nearest is %s mm. Measure without the head, a countersunk one with it.', Screw::plain($measured), Screw::plain($nearest)));
        }

        return $nearest;
    }

    /** @return array{float, float} */
    private function designated(string $text): array
    {
        $screw = Screw::read($text) ?? throw InputError::at('replaces', "“{$text}” is no designation; write it as M3×12.");

        return [$screw->diameterMm, $screw->lengthMm];
    }
}
