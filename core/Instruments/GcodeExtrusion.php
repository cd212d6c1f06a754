<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/**
 * Whether the numbers behind E are read as they were meant: lines of a print have much the same cross-section, so where the
 * other way of counting gives it and this one does not, absolute and relative extrusion are mixed up.
 */
final class GcodeExtrusion
{
    private const FILAMENT_MM2 = M_PI * 1.75 ** 2 / 4;

    /** No nozzle lays a line of so many mm². */
    private const THICKEST_MM2 = 6.0;

    private const LONG_ENOUGH_MM = 1.0;

    private const ENOUGH_MOVES = 8;

    /** ln of the cross-section strays at most so far (standard deviation) in the way that is meant. */
    private const ALIKE = 0.5;

    private int $moves = 0;

    private int $backwards = 0;

    private float $last = 0.0;

    /** @var array{float, float, int} sum, sum of squares, count of ln cross-sections as the numbers are read */
    private array $read = [0.0, 0.0, 0];

    /** @var array{float, float, int} the same in the other way of counting */
    private array $other = [0.0, 0.0, 0];

    private bool $told = false;

    /** Counting begins anew: the mode changed, or E was set. */
    public function anew(float $e): void
    {
        $this->moves = $this->backwards = 0;
        $this->read = $this->other = [0.0, 0.0, 0];
        $this->last = $e;
    }

    /**
     * A move that lays a line.
     *
     * @param  float  $length  mm in the plane
     * @param  float  $e  the number behind E
     * @param  float  $de  what is pushed out as it is read, mm of filament
     * @return string|null what is wrong, once
     */
    public function line(float $length, float $e, float $de, bool $relative): ?string
    {
        $before = $this->last;
        $this->last = $e;
        if ($length < self::LONG_ENOUGH_MM) {
            return null;
        }
        $area = $de * self::FILAMENT_MM2 / $length;
        $other = ($relative ? $e - $before : $e) * self::FILAMENT_MM2 / $length;
        $this->moves++;
        $this->backwards += $de < 0 ? 1 : 0;
        self::add($this->read, $area);
        self::add($this->other, $other);
        if ($this->told || ($area <= self::THICKEST_MM2 && ! $this->otherWayFits())) {
            return null;
        }
        $this->told = true;

        return $area > self::THICKEST_MM2
            ? sprintf('This line would be %s mm² thick: absolute and relative extrusion seem to be mixed up.', Said::figure($area))
            : sprintf(
                'The numbers behind E make lines alike only when they are read as %s, and %s is set: absolute and relative extrusion are mixed up.',
                $relative ? 'absolute' : 'relative',
                $relative ? 'M83' : 'M82',
            );
    }

    /** Read the other way every line is alike; read this way they go backwards, or grow and grow. */
    private function otherWayFits(): bool
    {
        if ($this->moves < self::ENOUGH_MOVES || $this->other[2] < 0.95 * $this->moves) {
            return false;
        }
        $strays = self::strays($this->other);

        return $strays < self::ALIKE && ($this->backwards > 0.25 * $this->moves || self::strays($this->read) > 2 * $strays + 0.2);
    }

    /** @param  array{float, float, int}  $to */
    private static function add(array &$to, float $area): void
    {
        if ($area > 0) {
            $to = [$to[0] + log($area), $to[1] + log($area) ** 2, $to[2] + 1];
        }
    }

    /** @param  array{float, float, int}  $of */
    private static function strays(array $of): float
    {
        return $of[2] < 2 ? INF : sqrt(max(0.0, $of[1] / $of[2] - ($of[0] / $of[2]) ** 2));
    }
}
