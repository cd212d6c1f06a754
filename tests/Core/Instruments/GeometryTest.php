<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use PHPUnit\Framework\Attributes\DataProvider;

/** Bed plane and squareness. */
final class GeometryTest extends InstrumentTestCase
{
    private const SCREWS = [
        ['name' => 'front left', 'x_mm' => 25, 'y_mm' => 25], ['name' => 'front right', 'x_mm' => 210, 'y_mm' => 25],
        ['name' => 'back left', 'x_mm' => 25, 'y_mm' => 210], ['name' => 'back right', 'x_mm' => 210, 'y_mm' => 210],
    ];

    /** @return array<string, mixed> */
    private static function bed(): array
    {
        $points = [];
        foreach ([
            [30, 30, 0.12],
            [30, 205, -0.05],
            [205, 30, 0.31],
            [205, 205, 0.08],
            [117.5, 117.5, 0.15],
            [117.5, 30, 0.2],
        ] as [$x, $y, $z]) {
            $points[] = ['x_mm' => $x, 'y_mm' => $y, 'z_mm' => $z];
        }

        return ['points' => $points, 'screws' => self::SCREWS, 'pitch_mm' => 0.7];
    }

    public function test_three_points_say_nothing_of_warp(): void
    {
        $sheet = \Tests\Core\TradeKnowledge::read()->instruments['bed-plane'];
        $points = [
            ['x_mm' => 10, 'y_mm' => 10, 'z_mm' => 0.0],
            ['x_mm' => 200, 'y_mm' => 10, 'z_mm' => 0.0],
            ['x_mm' => 10, 'y_mm' => 200, 'z_mm' => 0.0],
        ];
        $case = ['screws' => [['name' => 'a', 'x_mm' => 30, 'y_mm' => 30]], 'pitch_mm' => 0.7];

        self::assertSame(['bed-tilt-high' => false], $sheet->findings($this->compute('bed-plane', ['points' => $points] + $case)));
        self::assertSame(
            ['bed-tilt-high' => false, 'bed-warp-high' => true],
            $sheet->findings($this->compute(
                'bed-plane',
                ['points' => [
                    ...$points,
                    ['x_mm' => 200, 'y_mm' => 200, 'z_mm' => 0.0],
                    ['x_mm' => 105, 'y_mm' => 105, 'z_mm' => -0.6],
                ]] + $case,
            )),
        );
    }

    public function test_least_squares_agree_with_r(): void
    {
        // R 4.2: m <- lm(z ~ x + y); coef(m); predict(m, screws)
        $result = $this->compute('bed-plane', self::bed());

        self::assertEqualsWithDelta(
            ['a_mm' => 0.140729064039409, 'b' => 0.000914285714285714, 'c' => -0.00109950738916256],
            $result['plane'],
            1e-12,
        );
        self::assertEqualsWithDelta(0.352413793103448, $result['tilt_mm'], 1e-12);
        self::assertEqualsWithDelta(0.0537931034482758, $result['warp_mm'], 1e-12);
        self::assertEqualsWithDelta(0.019208475140973, $result['rms_mm'], 1e-12);
        $heights = [0.1360985221674878, 0.3052413793103449, -0.0673103448275861, 0.1018325123152710];
        $mean = array_sum($heights) / 4;
        foreach ($result['screws'] as $i => $screw) {
            self::assertEqualsWithDelta($mean - $heights[$i], $screw['move_mm'], 1e-12);
            self::assertEqualsWithDelta(abs($mean - $heights[$i]) / 0.7, $screw['turns'], 1e-12);
            self::assertEqualsWithDelta(60 * $screw['turns'], $screw['clock_minutes'], 1e-12);
        }
        self::assertSame('out', $result['verdict']);
    }

    public function test_a_screw_under_a_high_corner_goes_down_clockwise_seen_from_below(): void
    {
        $byName = array_column($this->compute('bed-plane', self::bed())['screws'], null, 'name');

        self::assertSame(['down', 'clockwise'], [$byName['front right']['direction'], $byName['front right']['rotate']]);
        self::assertSame(['up', 'counter-clockwise'], [$byName['back left']['direction'], $byName['back left']['rotate']]);
    }

    public function test_after_turning_as_told_the_plane_is_level(): void
    {
        foreach ([[], ['school' => 'one-corner-fixed', 'reference' => 'back left']] as $school) {
            $bed = self::bed() + $school;
            $moves = array_column($this->compute('bed-plane', $bed)['screws'], 'move_mm', 'name');
            if ($school !== []) {
                self::assertSame(0.0, $moves['back left'], 'the corner that stays stays');
            }
            // the screws move the bed as a plane: through three of them, and the fourth then lies on it
            $tilt = static fn (float $x, float $y): float => $moves['front left'] + ($moves['front right'] - $moves['front left']) * ($x - 25) / 185 + ($moves['back left'] - $moves['front left']) * ($y - 25) / 185;
            foreach ($bed['points'] as $i => $p) {
                $bed['points'][$i]['z_mm'] += $tilt($p['x_mm'], $p['y_mm']);
            }
            $after = $this->compute('bed-plane', $bed);
            self::assertEqualsWithDelta(0.0, $after['tilt_mm'], 1e-12);
            self::assertEqualsWithDelta(0.0537931034482758, $after['warp_mm'], 1e-12, 'screws do not take out a warp');
        }
    }

    public function test_skew_by_the_law_of_cosines(): void
    {
        // a parallelogram of 200 by 180 leaning by 0.25°: its diagonals by the law of cosines
        $lean = deg2rad(0.25);
        $d1 = sqrt(200 ** 2 + 180 ** 2 + 2 * 200 * 180 * sin($lean));
        $d2 = sqrt(200 ** 2 + 180 ** 2 - 2 * 200 * 180 * sin($lean));
        $result = $this->compute('squareness', ['side_a_mm' => 200, 'side_b_mm' => 180, 'diagonal_1_mm' => $d1, 'diagonal_2_mm' => $d2]);

        self::assertEqualsWithDelta(0.25, $result['skew_deg'], 1e-9);
        self::assertEqualsWithDelta(tan($lean), $result['skew_factor'], 1e-12);
        self::assertEqualsWithDelta(100 * tan($lean), $result['skew_mm_per_100'], 1e-10);
        self::assertSame('watch', $result['verdict']);
        $mirrored = $this->compute('squareness', ['side_a_mm' => 200, 'side_b_mm' => 180, 'diagonal_1_mm' => $d2, 'diagonal_2_mm' => $d1]);
        self::assertEqualsWithDelta(-0.25, $mirrored['skew_deg'], 1e-9, 'positive when the first diagonal is longer');
    }

    public function test_three_four_five_is_square(): void
    {
        $result = $this->compute('squareness', ['side_a_mm' => 300, 'side_b_mm' => 400, 'diagonal_1_mm' => 500, 'diagonal_2_mm' => 500]);

        self::assertSame([0.0, 'ok'], [$result['skew_deg'], $result['verdict']]);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        $bed = self::bed();
        yield 'two points' => ['bed-plane', ['points' => array_slice($bed['points'], 0, 2)] + $bed, 'points'];
        yield 'none' => ['bed-plane', ['points' => []] + $bed, 'points'];
        $line = array_map(static fn (int $i): array => ['x_mm' => 10 * $i, 'y_mm' => 20 * $i, 'z_mm' => 0.1 * $i], range(1, 5));
        yield 'in a line' => ['bed-plane', ['points' => $line] + $bed, 'points'];
        yield 'a height of 15 cm' => [
            'bed-plane',
            ['points' => [['x_mm' => 1, 'y_mm' => 1, 'z_mm' => 150], ...$bed['points']]] + $bed,
            'points.0.z_mm',
        ];
        yield 'no screws' => ['bed-plane', ['screws' => []] + $bed, 'screws'];
        yield 'a screw nobody named' => ['bed-plane', $bed + ['school' => 'one-corner-fixed', 'reference' => 'middle'], 'reference'];
        yield 'no corner that stays' => ['bed-plane', $bed + ['school' => 'one-corner-fixed'], 'reference'];
        yield 'two of one name' => ['bed-plane', ['screws' => [self::SCREWS[0], self::SCREWS[0]]] + $bed, 'screws.1.name'];
        yield 'a misread diagonal' => [
            'squareness',
            ['side_a_mm' => 300, 'side_b_mm' => 400, 'diagonal_1_mm' => 505, 'diagonal_2_mm' => 500],
            'diagonal_1_mm',
        ];
        yield 'centimetres' => [
            'squareness',
            ['side_a_mm' => 30, 'side_b_mm' => 40, 'diagonal_1_mm' => 5, 'diagonal_2_mm' => 50],
            'diagonal_1_mm',
        ];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('refused')]
    public function test_bad_input_is_refused_by_its_field(string $name, array $input, string $field): void
    {
        $this->assertRefused($name, $input, $field);
    }
}
