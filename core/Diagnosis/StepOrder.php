<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** How steps follow each other: by what they save per minute, a quick one before the leader’s, each once. */
final readonly class StepOrder
{
    private const MOST = 8;

    /**
     * The leader’s look, with what is worth more per minute and quick before it.
     *
     * @param  list<Step>  $pay  best first
     * @return list<Step>
     */
    public static function around(?Step $leader, ?Step $sweep, array $pay): array
    {
        if ($leader === null) {
            return self::withSweep($sweep, $pay);
        }
        $steps = self::withSweep($sweep, $pay);
        $best = $steps[0] ?? null;
        $quick = $best !== null && ($best->kind === 'sweep' || ($best->kind === 'check' && 2 * $best->minutes <= $leader->minutes));
        $before = $quick && $best->savesPerMinute > $leader->savesPerMinute ? [$best] : [];

        return [...$before, $leader, ...$steps];
    }

    /**
     * @param  list<Step>  $pay  best first
     * @return list<Step>
     */
    private static function withSweep(?Step $sweep, array $pay): array
    {
        if ($sweep === null) {
            return $pay;
        }
        $steps = [...$pay, $sweep];
        usort($steps, self::better(...));

        return $steps;
    }

    /**
     * Each step once; a look that stands in a sweep before it is not offered again.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    public static function each(array $steps): array
    {
        $seen = $once = [];
        foreach ($steps as $step) {
            $key = "{$step->kind} {$step->code}";
            $new = array_filter($step->looks, static fn (Step $l): bool => ! isset($seen["check {$l->code}"]));
            if (isset($seen[$key]) || ($step->kind === 'sweep' && $new === [])) {
                continue;
            }
            $seen[$key] = true;
            foreach ($step->looks as $look) {
                $seen["check {$look->code}"] = true;
            }
            $once[] = $step;
        }

        return array_slice($once, 0, self::MOST);
    }

    public static function better(Step $a, Step $b): int
    {
        if (abs($a->savesPerMinute - $b->savesPerMinute) > 1e-9 * max(1.0, abs($a->savesPerMinute))) {
            return $b->savesPerMinute <=> $a->savesPerMinute;
        }

        return [$a->minutes, $a->needsPower, $a->code] <=> [$b->minutes, $b->needsPower, $b->code];
    }
}
