<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use Closure;
use OddBench\Math\Chebyshev;
use OddBench\Math\Root;

/**
 * How well a Weibull explains lives, running ones counted (type I censoring) and used ones from the hours they were fitted with on
 * (left truncation): W. Q. Meeker and L. A. Escobar, Statistical Methods for Reliability Data (1998), chapters 8 and 11.
 *
 * Hours are kept as shares of the longest life, so that powers stay small.
 */
final readonly class Likelihood
{
    /** Shapes in which the best one is looked for. */
    private const LEAST_SHAPE = 0.05;

    private const MOST_SHAPE = 60.0;

    /** The 95th percentile of chi-square with one degree of freedom, halved. */
    public const DROP = 1.9207294103470620;

    private const ANGLES = 96;

    /** With more lives than that the sums of powers are read from a curve through some shapes. */
    private const MANY = 400;

    /**
     * @param  list<float>  $ends  shares of the longest
     * @param  list<float>  $entries  above 0
     */
    private function __construct(
        public float $longest,
        public int $failures,
        private float $logSum,
        private array $ends,
        private array $entries,
        private ?Chebyshev $curve = null,
    ) {
    }

    /** @param  non-empty-list<Life>  $lives */
    public static function of(array $lives): self
    {
        $longest = max(array_map(static fn (Life $l): float => $l->hours, $lives));
        $failed = array_filter($lives, static fn (Life $l): bool => $l->failed);

        return new self(
            $longest,
            count($failed),
            array_sum(array_map(static fn (Life $l): float => log($l->hours / $longest), $failed)),
            array_map(static fn (Life $l): float => $l->hours / $longest, $lives),
            array_values(array_map(
                static fn (Life $l): float => $l->entered / $longest,
                array_filter($lives, static fn (Life $l): bool => $l->entered > 0.0),
            )),
        );
    }

    /**
     * For shapes around one the sums of powers are read from a curve, where there are so many lives that adding them up takes long:
     * their logarithm over that of the shape is smooth, and a Chebyshev interpolant meets it to the last digits (L. N. Trefethen 2013,
     * Approximation Theory and Approximation Practice, chapters 5 and 8).
     */
    public function around(float $shape): self
    {
        if (count($this->ends) + count($this->entries) <= self::MANY) {
            return $this;
        }
        $curve = Chebyshev::through(
            fn (float $logShape): float => log($this->exposure(exp($logShape))),
            max(log(self::LEAST_SHAPE), log($shape) - 3),
            min(log(self::MOST_SHAPE), log($shape) + 3),
        );

        return new self($this->longest, $this->failures, $this->logSum, $this->ends, $this->entries, $curve);
    }

    /** Sum of the lives’ powers, in shares of the longest. */
    public function exposure(float $shape): float
    {
        if ($this->curve?->reaches(log($shape)) === true) {
            return exp($this->curve->at(log($shape)));
        }
        $sum = 0.0;
        foreach ($this->ends as $t) {
            $sum += $t ** $shape;
        }
        foreach ($this->entries as $t) {
            $sum -= $t ** $shape;
        }

        return $sum;
    }

    /** The scale that explains them best with a shape, in hours. */
    public function scaleFor(float $shape): float
    {
        return $this->longest * ($this->exposure($shape) / $this->failures) ** (1 / $shape);
    }

    /** Natural logarithm, hours in shares of the longest. */
    public function log(float $shape, float $scale): float
    {
        $scale /= $this->longest;

        return $this->failures * (log($shape) - $shape * log($scale)) + ($shape - 1) * $this->logSum
            - $this->exposure($shape) / $scale ** $shape;
    }

    /** The same in hours, so that likelihoods of different lives can be added and compared. */
    public function logInHours(Weibull $life): float
    {
        return $this->log($life->shape, $life->scale) - $this->failures * log($this->longest);
    }

    /**
     * The shape and scale that explain them best.
     *
     * @return Weibull|null nothing where the shape has no end: all failed at the same hours, or none did
     */
    public function best(): ?Weibull
    {
        if ($this->failures < 1) {
            return null;
        }
        $slope = fn (float $logShape): float => $this->slope(exp($logShape));
        [$low, $high] = [log(self::LEAST_SHAPE), log(self::MOST_SHAPE)];
        if ($slope($low) <= 0.0 || $slope($high) >= 0.0) {
            return null;
        }
        $shape = exp(Root::between($slope, $low, $high));

        return Weibull::of($shape, $this->scaleFor($shape));
    }

    /** Of the likelihood along the best scales. */
    private function slope(float $shape): float
    {
        $sum = $logs = 0.0;
        foreach ($this->ends as $t) {
            $power = $t ** $shape;
            $sum += $power;
            $logs += $power * log($t);
        }
        foreach ($this->entries as $t) {
            $power = $t ** $shape;
            $sum -= $power;
            $logs -= $power * log($t);
        }

        return $this->failures / $shape + $this->logSum - $this->failures * $logs / $sum;
    }

    /**
     * The edge of the region that explains them nearly as well: of anything that follows from shape and scale, the least and the
     * most along it are its profile-likelihood interval.
     *
     * @return list<Weibull|null> around the best; nothing in a direction in which it has no edge
     */
    public function edge(Weibull $best): array
    {
        $level = $this->log($best->shape, $best->scale) - self::DROP;
        $edge = [];
        for ($i = 0; $i < self::ANGLES; $i++) {
            $edge[] = $this->edgeAt($best, $level, 2 * M_PI * $i / self::ANGLES);
        }

        return $edge;
    }

    private function edgeAt(Weibull $best, float $level, float $angle): ?Weibull
    {
        // steps of about a standard error each: of ln shape 0.78/√r, of ln scale 1.05/(shape·√r) (asymptotic, complete samples)
        $unit = 1 / sqrt($this->failures);
        $at = static fn (float $way): Weibull => Weibull::of(
            $best->shape * exp(0.78 * $unit * $way * cos($angle)),
            $best->scale * exp(1.05 * $unit / $best->shape * $way * sin($angle)),
        );
        $over = fn (float $way): float => $this->log($at($way)->shape, $at($way)->scale) - $level;
        for ($far = 2.0; $far < 300.0; $far *= 1.6) {
            if ($over($far) < 0.0) {
                return $at(Root::between($over, 0.0, $far, 1e-10));
            }
        }

        return null;
    }

    /**
     * The least and the most a figure takes where the likelihood is within its drop: by the best of each value of it.
     *
     * @param  Closure(float, float): float  $scaleOf  the scale with a shape at which the figure has a value
     * @return array{float, float|null} nothing for the most where it has no end
     */
    public function interval(Weibull $best, float $value, Closure $scaleOf): array
    {
        $level = $this->log($best->shape, $best->scale) - self::DROP;
        $over = fn (float $log): float => $this->profile(exp($log), $best->shape, $scaleOf) - $level;
        $middle = log($value);

        return [
            exp($this->end($over, $middle, -1) ?? $middle - 50),
            ($most = $this->end($over, $middle, 1)) === null ? null : exp($most),
        ];
    }

    /** @param  Closure(float): float  $over */
    private function end(Closure $over, float $middle, int $side): ?float
    {
        for ($step = 0.05; $step < 12.0; $step *= 1.6) {
            if ($over($middle + $side * $step) < 0.0) {
                return Root::between($over, $middle, $middle + $side * $step, 1e-11);
            }
        }

        return null;
    }

    /**
     * The best likelihood with a figure held: golden section over the logarithm of the shape (Brent 1973, chapter 5).
     *
     * @param  Closure(float, float): float  $scaleOf
     */
    private function profile(float $value, float $near, Closure $scaleOf): float
    {
        $log = fn (float $logShape): float => $this->log(exp($logShape), $scaleOf(exp($logShape), $value));
        [$a, $b] = [max(log(self::LEAST_SHAPE), log($near) - 3), min(log(self::MOST_SHAPE), log($near) + 3)];
        $golden = (sqrt(5) - 1) / 2;
        [$c, $d] = [$b - $golden * ($b - $a), $a + $golden * ($b - $a)];
        [$fc, $fd] = [$log($c), $log($d)];
        while ($b - $a > 1e-6) {
            if ($fc > $fd) {
                [$b, $d, $fd] = [$d, $c, $fc];
                $c = $b - $golden * ($b - $a);
                $fc = $log($c);
            } else {
                [$a, $c, $fc] = [$c, $d, $fd];
                $d = $a + $golden * ($b - $a);
                $fd = $log($d);
            }
        }

        return max($fc, $fd);
    }
}
