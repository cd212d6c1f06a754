<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** A result on its scale with the zones that are well and to be watched; the limits are the instrument’s own. */
final readonly class Gauge
{
    /**
     * @param  array{float, float}  $ok
     * @param  array{float, float}  $watch
     * @param  string|null  $about  the input the zones lie about, and how far they reach
     */
    public function __construct(
        public string $key,
        public string $label,
        public string $unit,
        public float $from,
        public float $to,
        public array $ok,
        public array $watch,
        public ?string $about,
        public float $reach,
    ) {
    }
}
