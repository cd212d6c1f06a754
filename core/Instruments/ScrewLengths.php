<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Input\InputError;

/**
 * Which lengths of screw are made: the preferred lengths of ISO 888, and for each head and size the shortest and the longest
 * of its standard’s table (ISO 4762:2004, ISO 7380-1:2011, ISO 10642:2019; from memory). Longer ones than the table are sold
 * with a thread up to the head, up to twice its end; shorter ones down to their own diameter.
 */
final class ScrewLengths
{
    private const PREFERRED = [2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100, 110, 120];

    /** head => nominal diameter => shortest, longest in the table, mm */
    private const TABLE = [
        'cylinder' => [
            '1.6' => [2.5, 16],
            '2' => [3, 20],
            '2.5' => [4, 25],
            '3' => [5, 30],
            '4' => [6, 40],
            '5' => [8, 50],
            '6' => [10, 60],
            '8' => [12, 80],
            '10' => [16, 100],
            '12' => [20, 120],
        ],
        'button' => ['3' => [6, 30], '4' => [6, 40], '5' => [8, 50], '6' => [10, 60], '8' => [12, 80], '10' => [16, 90], '12' => [20, 100]],
        'countersunk' => [
            '2' => [4, 20],
            '2.5' => [5, 25],
            '3' => [8, 30],
            '4' => [8, 40],
            '5' => [8, 50],
            '6' => [8, 60],
            '8' => [10, 80],
            '10' => [12, 100],
            '12' => [20, 100],
        ],
    ];

    /** @throws InputError when no screw of this head and size is made about that long */
    public static function made(float $measured, float $diameter, ?string $head): float
    {
        $of = self::TABLE[$head ?? 'cylinder'][Screw::plain($diameter)] ?? throw InputError::at(
            'head',
            sprintf(
                'No M%s is made with a %s head (%s begins at M%s).',
                Screw::plain($diameter),
                $head ?? 'cylinder',
                Screw::HEADS[$head ?? 'cylinder'],
                (string) array_key_first(self::TABLE[$head ?? 'cylinder']),
            ),
        );
        $nearest = 0.0;
        foreach (self::PREFERRED as $length) {
            if (abs($length - $measured) < abs($nearest - $measured)) {
                $nearest = (float) $length;
            }
        }
        if (abs($nearest - $measured) > max(0.6, 0.04 * $nearest)) {
            throw InputError::at(
                'length_mm',
                sprintf(
                    'No such screw is made %s mm long; the nearest is %s mm. Measure without the head, a countersunk one with it.',
                    Screw::plain($measured),
                    Screw::plain($nearest),
                ),
            );
        }
        [$least, $most] = [min($of[0], $diameter), min(120.0, 2 * $of[1])];
        if ($nearest < $least || $nearest > $most) {
            throw InputError::at(
                'length_mm',
                sprintf(
                    'An M%s is not made %s mm long: from %s to %s mm in %s.',
                    Screw::plain($diameter),
                    Screw::plain($nearest),
                    Screw::plain($of[0]),
                    Screw::plain($of[1]),
                    Screw::HEADS[$head ?? 'cylinder'],
                ),
            );
        }

        return $nearest;
    }

    /** Whether the standard’s own table has it. */
    public static function listed(float $length, float $diameter, ?string $head): bool
    {
        $of = self::TABLE[$head ?? 'cylinder'][Screw::plain($diameter)] ?? null;

        return $of !== null && $length >= $of[0] && $length <= $of[1];
    }
}
