<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/**
 * Whether some check tells a fault: one of its answers moves the fault’s odds fivefold, up or down, on a machine that
 * can have it and with the other faults at their catalogue rates.
 */
final readonly class Telling
{
    /** An answer that moves the odds at least this far tells. */
    public const FIVEFOLD = 5.0;

    /** @var array<string, float> finding code => P(absent) with every fault at its rate */
    private array $absent;

    public function __construct(private Knowledge $knowledge)
    {
        $absent = array_map(static fn (Finding $finding): float => 1 - $finding->leak, $knowledge->findings);
        foreach ($knowledge->faults as $fault) {
            foreach ($fault->shows as $finding => $strength) {
                $absent[$finding] = ($absent[$finding] ?? 1.0) * (1 - $fault->rate / 1000 * $strength);
            }
        }
        $this->absent = $absent;
    }

    /**
     * The check that tells most of a fault, and how far its answer moves the odds.
     *
     * @return array{string|null, float} check code, factor from 1 on
     */
    public function best(Fault $fault): array
    {
        $best = [null, 1.0];
        foreach ($this->knowledge->checks as $check) {
            if (! self::meet($check->needs, $fault->needs)) {
                continue;
            }
            foreach ($check->yields as $finding) {
                $factor = isset($fault->shows[$finding], $this->absent[$finding]) ? $this->factor($fault, $finding) : 1.0;
                if ($factor > $best[1]) {
                    $best = [$check->code, $factor];
                }
            }
        }

        return $best;
    }

    private function factor(Fault $fault, string $finding): float
    {
        $strength = $fault->shows[$finding];
        $without = $this->absent[$finding] / (1 - $fault->rate / 1000 * $strength);
        $with = $without * (1 - $strength);

        return max((1 - $with) / (1 - $without), $with > 0 ? $without / $with : INF);
    }

    /**
     * @param  array<string, list<string>>  $these  trait => values
     * @param  array<string, list<string>>  $those
     */
    private static function meet(array $these, array $those): bool
    {
        foreach ($these as $trait => $values) {
            if (isset($those[$trait]) && array_intersect($values, $those[$trait]) === []) {
                return false;
            }
        }

        return true;
    }
}
