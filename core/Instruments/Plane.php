<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Input\InputError;

/** A plane fitted by least squares (Gauss 1809), by its normal equations about the points’ middle. */
final readonly class Plane
{
    /** The points’ spread across their line must be this share of that along it. */
    private const IN_LINE = 1e-6;

    private function __construct(private float $midX, private float $midY, private float $midZ, public float $slopeX, public float $slopeY)
    {
    }

    /**
     * @param  non-empty-list<array{float, float, float}>  $points  x, y, z
     *
     * @throws InputError when they stand in a line
     */
    public static function through(array $points): self
    {
        $n = count($points);
        [$mx, $my, $mz] = array_map(static fn (int $i): float => array_sum(array_column($points, $i)) / $n, [0, 1, 2]);
        $xx = $xy = $yy = $xz = $yz = 0.0;
        foreach ($points as [$x, $y, $z]) {
            $xx += ($x - $mx) ** 2;
            $xy += ($x - $mx) * ($y - $my);
            $yy += ($y - $my) ** 2;
            $xz += ($x - $mx) * ($z - $mz);
            $yz += ($y - $my) * ($z - $mz);
        }
        $determinant = $xx * $yy - $xy ** 2;
        if ($determinant <= self::IN_LINE * ($xx + $yy) ** 2) {
            throw InputError::at('points', 'These points stand in a line; measure one beside it.');
        }

        return new self($mx, $my, $mz, ($xz * $yy - $yz * $xy) / $determinant, ($yz * $xx - $xz * $xy) / $determinant);
    }

    /** Height of the plane, in the unit of the points. */
    public function at(float $x, float $y): float
    {
        return $this->midZ + $this->slopeX * ($x - $this->midX) + $this->slopeY * ($y - $this->midY);
    }
}
