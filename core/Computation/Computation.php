<?php

declare(strict_types=1);

namespace OddBench\Computation;

use OddBench\Input\InputError;

/** One computation with fixed names: JSON-like values in, JSON-like values out. */
interface Computation
{
    /** The name it is asked for by, such as `belt-tension`. */
    public function name(): string;

    /**
     * @param  array<array-key, mixed>  $input  keys carry their unit; unknown ones are refused
     * @return array<string, mixed> never NaN or INF
     *
     * @throws InputError names the field and the way out
     */
    public function compute(array $input): array;
}
