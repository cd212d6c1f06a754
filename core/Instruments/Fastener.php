<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * Which screw it is, and whether it may stand in for another. Heads of ISO 4762 (cylinder), ISO 7380 (button) and
 * ISO 10642 (countersunk), coarse pitches of ISO 261, lengths as made. A thread holds from one diameter of engagement on in metal, two in
 * plastic (common practice); and it must not reach further than there is room.
 */
final readonly class Fastener implements Computation
{
    private const ENGAGEMENT = ['metal' => 1.0, 'plastic' => 2.0];

    public function name(): string
    {
        return 'fastener';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $diameter = $this->nominal($fields->number('diameter_mm', ...Quantity::ThreadDiameter->bounds()));
        $measured = $fields->number('length_mm', ...Quantity::ScrewLength->bounds());
        $head = $fields->has('head') ? $fields->choice('head', ['cylinder', 'button', 'countersunk']) : null;
        $replaces = $fields->has('replaces') ? $this->designated($fields->text('replaces')) : null;
        $into = $fields->has('into') ? $fields->choice('into', ['metal', 'plastic']) : null;
        $engagement = $fields->numberOrNull('engagement_mm', ...Quantity::Engagement->bounds());
        $room = $fields->numberOrNull('room_mm', ...Quantity::ScrewRoom->bounds());
        $fields->done();
        $length = ScrewLengths::made($measured, $diameter, $head);
        if ($engagement !== null && $engagement > ($replaces->lengthMm ?? $length)) {
            throw InputError::at(
                'engagement_mm',
                sprintf(
                    'engagement_mm is %s mm, and the whole screw is %s mm long: measure how much thread is in the hole.',
                    Screw::plain($engagement),
                    Screw::plain($replaces->lengthMm ?? $length),
                ),
            );
        }
        [$pitch, $key] = Screw::SIZES[(string) $diameter];

        return [
            'designation' => Screw::sized($diameter, $length)->designation(),
            'standard' => $head === null ? null : Screw::HEADS[$head],
            'in_standard' => ScrewLengths::listed($length, $diameter, $head),
            'nominal_mm' => $diameter,
            'length_mm' => $length,
            'pitch_mm' => $pitch,
            'key_mm' => $head === 'cylinder' || $head === null ? $key : null,
        ] + $this->judge($diameter, $length, $head, $replaces, $into, $engagement, $room);
    }

    /** @return array<string, mixed> */
    private function judge(
        float $diameter,
        float $length,
        ?string $head,
        ?Screw $replaces,
        ?string $into,
        ?float $engagement,
        ?float $room,
    ): array {
        if ($replaces !== null && $replaces->diameterMm !== $diameter) {
            return [
                'safe' => false,
                'further_mm' => null,
                'verdict' => 'out',
                'because' => sprintf('An M%s does not go where an M%s was.', Screw::plain($diameter), Screw::plain($replaces->diameterMm)),
            ];
        }
        $further = $replaces === null ? null : $length - $replaces->lengthMm;
        $against = $replaces === null ? [] : $this->seats($head, $replaces->head);
        if ($engagement !== null) {
            $holds = $engagement + min(0.0, $further ?? 0.0);
            $needs = self::ENGAGEMENT[$into ?? 'metal'] * $diameter;
            if ($holds < $needs) {
                $against[] = sprintf(
                    '%s mm of thread would hold; in %s it takes %s mm',
                    Screw::plain($holds),
                    $into ?? 'metal',
                    Screw::plain($needs),
                );
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
        $because = $against === []
            ? ($further === null || $further === 0.0 ? 'it holds and fits' : ($further > 0 ? sprintf(
                'it goes %s mm further, and there is room',
                Screw::plain($further),
            ) : sprintf('it is %s mm shorter and still holds', Screw::plain(-$further))))
            : implode('; ', $against);

        return [
            'safe' => $against === [],
            'further_mm' => $further,
            'verdict' => $against === [] ? 'ok' : 'out',
            'because' => ucfirst($because).'.',
        ];
    }

    /**
     * A countersunk head seats in a cone, every other on a flat: neither replaces the other.
     *
     * @return list<string>
     */
    private function seats(?string $head, ?string $was): array
    {
        if (($head === 'countersunk') === ($was === 'countersunk')) {
            return [];
        }

        return match (true) {
            $head === 'countersunk'
                && $was === null => ['a countersunk head goes only where one was; write the original with its head, as M3×12 countersunk'],
            $head === 'countersunk' => ['a countersunk head finds no cone where the other sat'],
            $head === null => ['a countersunk one was there, and it is not said which head this one has'],
            default => ["a {$head} head does not seat in the cone of a countersunk one"],
        };
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
        throw InputError::at(
            'diameter_mm',
            sprintf('No metric screw measures %s mm across its thread. Measure over the crests.', Screw::plain($measured)),
        );
    }

    private function designated(string $text): Screw
    {
        return Screw::read($text) ?? throw InputError::at(
            'replaces',
            "“{$text}” is no designation; write it as M3×12, or M3×12 countersunk.",
        );
    }
}
