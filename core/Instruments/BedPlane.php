<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * The least-squares plane z = a + bx + cy through measured heights, z positive where the bed is too high, and how far to
 * turn each levelling screw. Worked out about the points’ middle, so that no digit is lost far from the origin.
 *
 * Two schools: every screw to the mean plane over the screws, or all to the height at one that stays. Limits of tilt and
 * warp are common practice.
 */
final readonly class BedPlane implements Computation
{
    private const MOST_SCREWS = 64;

    private const TILT_OK = 0.1;

    private const TILT_OUT = 0.25;

    private const WARP_OK = 0.15;

    private const WARP_OUT = 0.3;

    public function name(): string
    {
        return 'bed-plane';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $points = $this->points($fields);
        $screws = $this->screws($fields);
        $pitch = $fields->number('pitch_mm', ...Quantity::ScrewPitch->bounds());
        $school = $fields->choice(
            'school',
            ['mean-plane', 'one-corner-fixed'],
            $fields->has('reference') ? 'one-corner-fixed' : 'mean-plane',
        );
        $reference = $fields->has('reference') ? $fields->text('reference') : null;
        $fields->done();
        $plane = Plane::through($points);
        $target = $this->target($plane, $screws, $school, $reference);
        $heights = array_map(static fn (array $p): float => $plane->at($p[0], $p[1]), $points);
        $residuals = array_map(static fn (array $p, float $z): float => $p[2] - $z, $points, $heights);
        $tilt = max($heights) - min($heights);
        $warp = max($residuals) - min($residuals);

        return [
            'tilt_mm' => $tilt,
            'warp_mm' => $warp,
            // any three points lie in a plane
            'warp_seen_mm' => count($points) > 3 ? $warp : null,
            'rms_mm' => sqrt(array_sum(array_map(static fn (float $r): float => $r ** 2, $residuals)) / count($residuals)),
            'plane' => ['a_mm' => $plane->at(0, 0), 'b' => $plane->slopeX, 'c' => $plane->slopeY],
            'screws' => array_map(static fn (array $s): array => self::turn($s[0], $target - $plane->at($s[1], $s[2]), $pitch), $screws),
            'verdict' => $tilt > self::TILT_OUT || $warp > self::WARP_OUT
                ? 'out'
                : ($tilt > self::TILT_OK || $warp > self::WARP_OK ? 'watch' : 'ok'),
            'because' => sprintf(
                'The plane tilts by %s mm over the points, and the bed leaves it by %s mm. Screws take out the tilt, not the warp.',
                Said::figure($tilt),
                Said::figure($warp),
            ).(count($points) === 3 ? ' Any three points lie in a plane: they show no warp.' : ''),
        ];
    }

    /** @return non-empty-list<array{float, float, float}> */
    private function points(Fields $fields): array
    {
        $points = [];
        foreach ($fields->objects('points') as $of) {
            $points[] = [
                $of->number('x_mm', ...Quantity::BedPosition->bounds()),
                $of->number('y_mm', ...Quantity::BedPosition->bounds()),
                $of->number('z_mm', ...Quantity::BedHeight->bounds()),
            ];
            $of->done();
        }
        if (count($points) < 3) {
            throw InputError::at('points', 'A plane takes at least three points, not in a line.');
        }

        return $points;
    }

    /** @return list<array{string, float, float}> */
    private function screws(Fields $fields): array
    {
        $screws = [];
        foreach ($fields->objects('screws', self::MOST_SCREWS) as $i => $of) {
            $name = $of->text('name');
            if (in_array($name, array_column($screws, 0), true)) {
                throw InputError::at("screws.{$i}.name", "Two screws are called “{$name}”.");
            }
            $screws[] = [
                $name,
                $of->number('x_mm', ...Quantity::BedPosition->bounds()),
                $of->number('y_mm', ...Quantity::BedPosition->bounds()),
            ];
            $of->done();
        }
        if ($screws === []) {
            throw InputError::at('screws', 'screws is empty; say where the levelling screws stand.');
        }

        return $screws;
    }

    /** @param  list<array{string, float, float}>  $screws */
    private function target(Plane $plane, array $screws, string $school, ?string $reference): float
    {
        $heights = [];
        foreach ($screws as [$name, $x, $y]) {
            $heights[$name] = $plane->at($x, $y);
        }
        if ($school === 'mean-plane') {
            return array_sum($heights) / max(1, count($heights));
        }
        if ($reference === null) {
            throw InputError::at('reference', 'reference is missing: name the screw that stays.');
        }

        return $heights[$reference] ?? throw InputError::unknown(
            'reference',
            'screw',
            $reference,
            array_map(strval(...), array_keys($heights)),
        );
    }

    /** @return array{name: string, move_mm: float, turns: float, clock_minutes: float, direction: string, rotate: string} */
    private static function turn(string $name, float $move, float $pitch): array
    {
        $turns = abs($move) / $pitch;

        return [
            'name' => $name,
            'move_mm' => $move,
            'turns' => $turns,
            'clock_minutes' => 60 * $turns,
            'direction' => $move >= 0 ? 'up' : 'down',
            // right-hand thread, knob under the bed, seen from below: clockwise pulls the bed down
            'rotate' => $move >= 0 ? 'counter-clockwise' : 'clockwise',
        ];
    }
}
