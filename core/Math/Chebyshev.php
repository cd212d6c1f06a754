<?php

declare(strict_types=1);

namespace OddBench\Math;

use Closure;
use InvalidArgumentException;

/**
 * A smooth function on an interval, kept as the polynomial through its values at the Chebyshev points and read by the barycentric
 * formula (J.-P. Berrut and L. N. Trefethen 2004, Barycentric Lagrange interpolation, SIAM Review 46, 501–517).
 */
final readonly class Chebyshev
{
    private const POINTS = 64;

    /**
     * @param  list<float>  $points
     * @param  list<float>  $values
     */
    private function __construct(private float $from, private float $to, private array $points, private array $values)
    {
    }

    /** @param  Closure(float): float  $of */
    public static function through(Closure $of, float $from, float $to): self
    {
        if (! ($from < $to)) {
            throw new InvalidArgumentException('An interval runs from less to more.');
        }
        $points = $values = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $points[] = $at = ($from + $to) / 2 - ($to - $from) / 2 * cos(M_PI * $i / self::POINTS);
            $values[] = $of($at);
        }

        return new self($from, $to, $points, $values);
    }

    public function reaches(float $at): bool
    {
        return $at >= $this->from && $at <= $this->to;
    }

    /** @param  float  $at  within the interval */
    public function at(float $at): float
    {
        $over = $under = 0.0;
        foreach ($this->points as $i => $point) {
            $off = $at - $point;
            if ($off === 0.0) {
                return $this->values[$i];
            }
            // both ends count half, and signs alternate
            $weight = ($i % 2 === 0 ? 1.0 : -1.0) * ($i === 0 || $i === self::POINTS ? 0.5 : 1.0) / $off;
            $over += $weight * $this->values[$i];
            $under += $weight;
        }

        return $over / $under;
    }
}
