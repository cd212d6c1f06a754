<?php

declare(strict_types=1);

namespace App\Computation\Accuracy;

use OddBench\Computation\Catalogue;
use Random\Randomizer;

/** Draws cases and asks the computations of them. */
abstract readonly class Asking
{
    final public function __construct(private Catalogue $catalogue, protected Randomizer $random)
    {
    }

    final protected function between(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->random->getInt(0, 1_000_000) / 1_000_000;
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    final protected function compute(string $name, array $input): array
    {
        return $this->catalogue->named($name)->compute($input);
    }

    /** @param  array<array-key, mixed>  $of */
    final protected static function number(array $of, string $key): float
    {
        return is_int($of[$key] ?? null) || is_float($of[$key] ?? null) ? (float) $of[$key] : NAN;
    }
}
