<?php

declare(strict_types=1);

namespace OddBench\Practice;

/** How a way of working did over many machines; bench minutes, each percentile by the nearest rank; what was mended in vain is told per machine, the
 * dangerous and qualified-only ones of it in all. */
final readonly class Score
{
    private function __construct(
        public int $machines,
        public int $settled,
        public float $median,
        public float $ninetieth,
        public float $mean,
        public float $looks,
        public float $inVain,
        public int $gravelyInVain,
        public int $handed,
        public ?float $spread = null,
    ) {
    }

    /** @param  list<Played>  $played */
    public static function of(array $played): self
    {
        $minutes = array_map(static fn (Played $p): float => $p->minutes, $played);
        sort($minutes);
        $many = max(1, count($played));

        return new self(
            machines: count($played),
            settled: count(array_filter($played, static fn (Played $p): bool => $p->settled)),
            median: self::percentile($minutes, 0.5),
            ninetieth: self::percentile($minutes, 0.9),
            mean: array_sum($minutes) / $many,
            looks: array_sum(array_map(static fn (Played $p): int => count($p->looks), $played)) / $many,
            inVain: array_sum(array_map(static fn (Played $p): int => count($p->wrong), $played)) / $many,
            gravelyInVain: array_sum(array_map(static fn (Played $p): int => count($p->gravelyWrong), $played)),
            handed: count(array_filter($played, static fn (Played $p): bool => $p->handed)),
        );
    }

    /**
     * Several draws of machines taken together, with the standard deviation of their means.
     *
     * @param  list<list<Played>>  $draws
     */
    public static function ofDraws(array $draws): self
    {
        $all = self::of(array_merge([], ...$draws));
        $means = array_map(static fn (array $played): float => self::of($played)->mean, $draws);
        $middle = array_sum($means) / max(1, count($means));
        $spread = count($means) < 2 ? null : sqrt(array_sum(array_map(
            static fn (float $m): float => ($m - $middle) ** 2,
            $means,
        )) / (count($means) - 1));

        return new self(
            $all->machines,
            $all->settled,
            $all->median,
            $all->ninetieth,
            $all->mean,
            $all->looks,
            $all->inVain,
            $all->gravelyInVain,
            $all->handed,
            $spread,
        );
    }

    /** @param  list<float>  $sorted */
    private static function percentile(array $sorted, float $share): float
    {
        return $sorted === [] ? 0.0 : $sorted[max(0, (int) ceil($share * count($sorted)) - 1)];
    }
}
