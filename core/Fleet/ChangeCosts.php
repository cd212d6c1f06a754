<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Input\InputError;

/** What changing a part costs when it is planned, and when it fails by itself. Money in minor units. */
final readonly class ChangeCosts
{
    /** @param  float  $opening  of what a planned change costs: taking the machine out of its rack, opening and proving it */
    private function __construct(public float $planned, public float $failure, public float $opening)
    {
    }

    /** As they were reckoned before; what of them is for opening is not asked. */
    public static function known(float $planned, float $failure): self
    {
        return new self($planned, $failure, 0.0);
    }

    /**
     * @param  float  $part  price of one
     * @param  float  $changeMinutes  of hands
     * @param  float  $openMinutes  of hands to take a machine out, open it, prove it and put it back
     * @param  float  $findMinutes  of hands until it is known what failed
     * @param  float  $minute  what a minute of hands costs, above 0
     * @param  float  $lostHours  print hours that are lost when it fails
     * @param  float  $hourWorth  what a print hour brings
     *
     * @throws InputError when a figure lies below 0
     */
    public static function of(
        float $part,
        float $changeMinutes,
        float $openMinutes,
        float $findMinutes,
        float $minute,
        float $lostHours,
        float $hourWorth,
    ): self {
        foreach (get_defined_vars() as $name => $value) {
            if ($value < 0.0 || ! is_finite($value)) {
                throw InputError::at($name, "{$name} must be 0 or more.");
            }
        }
        $planned = $part + ($changeMinutes + $openMinutes) * $minute;

        return new self($planned, $planned + $findMinutes * $minute + $lostHours * $hourWorth, $openMinutes * $minute);
    }
}
