<?php

declare(strict_types=1);

namespace OddBench\Proof\Prints;

use OddBench\Knowledge\Build;

/**
 * Where a head can go. It counts from its middle or from its front left corner, as the family says; a round bed usually from its middle.
 */
final readonly class Bed
{
    private const KEPT_OFF_MM = 10.0;

    /** X and Y count from its middle. */
    public bool $middle;

    /**
     * @param  float  $xMm  60 to 1000
     * @param  float  $yMm  60 to 1000
     * @param  float  $zMm  60 to 1000
     * @param  bool|null  $middle  as it is round, unless said
     */
    public function __construct(
        public float $xMm = 220.0,
        public float $yMm = 220.0,
        public float $zMm = 250.0,
        public bool $round = false,
        ?bool $middle = null,
    ) {
        $this->middle = $middle ?? $round;
    }

    /** The bed of a family. */
    public static function of(Build $build): self
    {
        return new self($build->x, $build->y, $build->z, $build->round, $build->middle);
    }

    /**
     * A place by its share of the way from the middle to the edge, 10 mm kept off it; on a round bed the corners are where
     * a square just fits.
     *
     * @param  float  $right  −1 (left) to 1
     * @param  float  $back  −1 (front) to 1
     * @return array{float, float} mm
     */
    public function at(float $right, float $back): array
    {
        [$cx, $cy] = $this->middle ? [0.0, 0.0] : [$this->xMm / 2, $this->yMm / 2];
        $fits = $this->round ? max(1.0, hypot($right, $back)) : 1.0;

        return [$cx + $right / $fits * ($this->xMm / 2 - self::KEPT_OFF_MM), $cy + $back / $fits * ($this->yMm / 2 - self::KEPT_OFF_MM)];
    }

    /**
     * The middle of a square patch in the middle, or in the corner it is pushed to.
     *
     * @param  int  $right  −1, 0 or 1
     * @param  int  $back  −1, 0 or 1
     * @return array{float, float} mm
     */
    public function patch(int $right, int $back, float $halfMm): array
    {
        $reach = fn (float $size): float => ($size / 2 - self::KEPT_OFF_MM) / ($this->round ? M_SQRT2 : 1.0) - $halfMm;
        [$cx, $cy] = $this->at(0, 0);

        return [$cx + $right * $reach($this->xMm), $cy + $back * $reach($this->yMm)];
    }

    /** The largest ring around the middle that stays well inside. */
    public function ringMm(): float
    {
        return 0.6 * min($this->xMm, $this->yMm);
    }
}
