<?php

declare(strict_types=1);

namespace OddBench\Rig;

/**
 * Two lumps of metal that share heat: the heated one (block, plate) and the one behind it (sink, surface).
 * C₁ dT₁/dt = P − G(T₁ − T₂) − h₁(T₁ − Tₐ), C₂ dT₂/dt = G(T₁ − T₂) − h₂(T₂ − Tₐ); stepped by Runge and Kutta’s
 * method of the fourth order.
 */
final class TwoNodes
{
    /**
     * @param  float  $c1  J/K
     * @param  float  $c2  J/K
     * @param  float  $g  W/K between them
     * @param  float  $ambient  °C
     */
    public function __construct(
        private readonly float $c1,
        private readonly float $c2,
        private readonly float $g,
        private readonly float $ambient,
        public float $t1 = NAN,
        public float $t2 = NAN,
    ) {
        $this->t1 = is_nan($t1) ? $ambient : $t1;
        $this->t2 = is_nan($t2) ? $ambient : $t2;
    }

    /**
     * @param  float  $power  W into the first
     * @param  float  $h1  W/K the first loses to the room
     * @param  float  $h2  W/K the second loses to the room
     * @param  float  $dt  s
     */
    public function step(float $power, float $h1, float $h2, float $dt): void
    {
        $slope = fn (float $a, float $b): array => [
            ($power - $this->g * ($a - $b) - $h1 * ($a - $this->ambient)) / $this->c1,
            ($this->g * ($a - $b) - $h2 * ($b - $this->ambient)) / $this->c2,
        ];
        [$a1, $b1] = $slope($this->t1, $this->t2);
        [$a2, $b2] = $slope($this->t1 + $dt / 2 * $a1, $this->t2 + $dt / 2 * $b1);
        [$a3, $b3] = $slope($this->t1 + $dt / 2 * $a2, $this->t2 + $dt / 2 * $b2);
        [$a4, $b4] = $slope($this->t1 + $dt * $a3, $this->t2 + $dt * $b3);
        $this->t1 += $dt / 6 * ($a1 + 2 * $a2 + 2 * $a3 + $a4);
        $this->t2 += $dt / 6 * ($b1 + 2 * $b2 + 2 * $b3 + $b4);
    }
}
