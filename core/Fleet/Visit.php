<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/**
 * What is changed while a machine is open: opening it is paid once, so what pays only when something else is done as well comes
 * along. The set that saves most takes every part that saves anything once the machine is open.
 */
final readonly class Visit
{
    /** @param  list<int|string>  $parts  keys of those that are changed, what saves most first */
    private function __construct(public array $parts, public float $saves)
    {
    }

    /**
     * @param  array<int|string, float>  $saves  what changing each now saves, were it changed alone
     * @param  float  $opening  what opening the machine costs, counted in each of them
     * @param  bool  $openAnyway  it lies open on the bench: opening costs nothing more
     */
    public static function of(array $saves, float $opening, bool $openAnyway = false): self
    {
        $once = array_filter(array_map(static fn (float $s): float => $s + $opening, $saves), static fn (float $s): bool => $s > 0.0);
        arsort($once);
        $sum = array_sum($once) - ($openAnyway ? 0.0 : $opening);

        return $once === [] || $sum <= 0.0 ? new self([], 0.0) : new self(array_keys($once), $sum);
    }
}
