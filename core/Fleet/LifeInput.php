<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/** The life of a kind of part, as a computation is told it: shape and scale_h. */
final class LifeInput
{
    /** @throws InputError when one is missing or out of its range */
    public static function read(Fields $fields): Weibull
    {
        return Weibull::of(
            $fields->number('shape', ...Quantity::LifeShape->bounds()),
            $fields->number('scale_h', ...Quantity::LifeHours->bounds()),
        );
    }
}
