<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

use OddBench\Input\InputError;

/** One value a check measures and what it says; the limits are common practice. */
final readonly class Reading
{
    /**
     * @param  string  $ask  what is asked for, e.g. “Got, of 100 mm asked”
     * @param  float  $least  no such value is below this, in the reading’s unit
     * @param  array<string, Limit>  $limits  finding code => when it is there
     */
    public function __construct(public string $ask, public string $unit, public float $least, public float $most, public array $limits)
    {
    }

    /**
     * @return array<string, bool> finding code => present
     *
     * @throws InputError when no such value can be
     */
    public function judge(float $value, string $field = 'value'): array
    {
        if (! is_finite($value) || $value < $this->least || $value > $this->most) {
            throw InputError::at($field, sprintf('%s must be from %g to %g %s.', $this->ask, $this->least, $this->most, $this->unit));
        }

        return array_map(static fn (Limit $limit): bool => $limit->reached($value), $this->limits);
    }
}
