<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/** Temperatures as the printer reports them. */
final readonly class Sample
{
    /**
     * @param  float  $t  s on the run’s clock
     * @param  float  $hotend  °C, as are the others
     * @param  float|null  $hotendPower  share of full power, 0 to 1, where the printer says it
     */
    public function __construct(
        public float $t,
        public float $hotend,
        public float $hotendTarget,
        public float $bed,
        public float $bedTarget,
        public ?float $hotendPower = null,
        public ?float $bedPower = null,
    ) {
    }

    /** Reads “T:210.1 /210.0 B:60.0 /60.0 @:64 B@:0”; nothing when it is no such line, or when its figures are none. */
    public static function read(string $line, float $t): ?self
    {
        if (preg_match(
            '/\bT:\s*(-?\d{1,4}(?:\.\d{1,6})?)\s*\/\s*(-?\d{1,4}(?:\.\d{1,6})?)(?:.*?\bB:\s*(-?\d{1,4}(?:\.\d{1,6})?)\s*\/\s*(-?\d{1,4}(?:\.\d{1,6})?))?/',
            $line,
            $found,
        ) !== 1) {
            return null;
        }
        $power = static fn (string $mark): ?float => preg_match(
            "/(?:^|\s){$mark}:(\d{1,3})\b/",
            $line,
            $at,
        ) === 1 ? min(1.0, (int) $at[1] / 127) : null;

        return new self(
            $t,
            (float) $found[1],
            (float) $found[2],
            (float) ($found[3] ?? 0),
            (float) ($found[4] ?? 0),
            $power('@'),
            $power('B@'),
        );
    }
}
