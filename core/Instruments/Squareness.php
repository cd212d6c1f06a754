<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * How far a frame or a print leans, from two sides and two diagonals of a parallelogram:
 * d1² − d2² = 4ab·sin(skew), d1² + d2² = 2(a² + b²) (parallelogram law). Limits are common practice.
 */
final readonly class Squareness implements Computation
{
    /** A figure this far from the parallelogram law holds a misread length. */
    private const MISREAD_SHARE = 0.005;

    private const OK_DEG = 0.1;

    private const WATCH_DEG = 0.3;

    public function name(): string
    {
        return 'squareness';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        [$a, $b, $d1, $d2] = array_map(
            static fn (string $key): float => $fields->number($key, ...Quantity::FrameSide->bounds()),
            ['side_a_mm', 'side_b_mm', 'diagonal_1_mm', 'diagonal_2_mm'],
        );
        $fields->done();
        $law = 2 * ($a ** 2 + $b ** 2);
        if (abs($d1 ** 2 + $d2 ** 2 - $law) > self::MISREAD_SHARE * $law) {
            throw InputError::at(
                'diagonal_1_mm',
                'These four lengths do not belong to one parallelogram: one of them was misread. Measure again.',
            );
        }
        $sine = ($d1 ** 2 - $d2 ** 2) / (4 * $a * $b);
        if (abs($sine) >= 1) {
            throw InputError::at(
                'diagonal_1_mm',
                'The diagonals are too different for these sides: one of them was misread. Measure again.',
            );
        }
        $skew = asin($sine);
        $degrees = rad2deg($skew);
        $factor = tan($skew);

        return [
            'skew_deg' => $degrees,
            'skew_mm_per_100' => 100 * $factor,
            'skew_factor' => $factor,
            'verdict' => abs($degrees) < self::OK_DEG ? 'ok' : (abs($degrees) <= self::WATCH_DEG ? 'watch' : 'out'),
            'because' => sprintf(
                'It leans by %s°, %s mm in 100 mm; under 0.1° is well.',
                Said::figure(abs($degrees)),
                Said::figure(abs(100 * $factor)),
            ),
        ];
    }
}
