<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** One trial print: what was set and how well it came out. */
final readonly class Trial
{
    /**
     * @param  int  $number  from 1 on, in the order they were printed
     * @param  array<string, float|string>  $settings  as set; numbers as numbers
     * @param  float  $rating  more is better
     * @param  array{float, float}|null  $bandMm  the heights of one print between which it was set so
     * @param  bool  $stopped  stopped before it was done
     */
    public function __construct(
        public int $number,
        public array $settings,
        public float $rating,
        public ?array $bandMm,
        public bool $stopped,
    ) {
    }

    /** @return list<string> settings that differ, also those only one of the two names */
    public function differsIn(self $other): array
    {
        $names = array_keys($this->settings + $other->settings);

        return array_values(array_filter(
            $names,
            fn (string $name): bool => ($this->settings[$name] ?? null) !== ($other->settings[$name] ?? null),
        ));
    }
}
