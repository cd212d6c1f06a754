<?php

declare(strict_types=1);

namespace OddBench\Plan;

/**
 * What is started before closing time so that most goes by itself while nobody is there: the choice that is worth most within the
 * minutes that are left, exactly (a knapsack: G. B. Dantzig 1957, Operations Research 5, 266–277; by branch and bound).
 */
final class BeforeYouGo
{
    /** @var list<NightStep> */
    private array $best = [];

    private float $worth = 0.0;

    /**
     * @param  list<NightStep>  $steps  those that gain most for a minute of hands first
     * @param  array<string, int>  $places  how many are free of each
     */
    private function __construct(private readonly array $steps, private readonly int $night, private readonly array $places)
    {
    }

    /**
     * @param  list<NightStep>  $steps  of different jobs, each of which may run with nobody there
     * @param  int  $minutes  of hands that are left before closing
     * @param  int  $night  minutes until somebody is there again
     * @param  array<string, int>  $places
     * @return list<NightStep> what gains most first
     */
    public static function choose(array $steps, int $minutes, int $night, array $places = []): array
    {
        $each = static fn (NightStep $step): float => self::gain($step, $night) / max(1, $step->hands);
        $steps = array_values(array_filter($steps, static fn (NightStep $step): bool => self::gain($step, $night) > 0.0));
        usort($steps, static fn (NightStep $a, NightStep $b): int => [$each($b), $a->job] <=> [$each($a), $b->job]);
        $search = new self($steps, $night, $places);
        $search->visit(0, $minutes, 0.0, [], []);
        usort(
            $search->best,
            static fn (NightStep $a, NightStep $b): int => [self::gain($b, $night), $a->job] <=> [self::gain($a, $night), $b->job],
        );

        return $search->best;
    }

    /** What goes by itself in the night need not go by day. */
    private static function gain(NightStep $step, int $night): float
    {
        return $step->weight * min($step->alone, $night);
    }

    /**
     * @param  list<NightStep>  $taken
     * @param  array<string, int>  $used
     */
    private function visit(int $at, int $minutes, float $worth, array $taken, array $used): void
    {
        if ($worth > $this->worth) {
            [$this->best, $this->worth] = [$taken, $worth];
        }
        if (! isset($this->steps[$at]) || $worth + $this->most($at, $minutes) <= $this->worth + 1e-9) {
            return;
        }
        $step = $this->steps[$at];
        $room = $step->place === null || ($used[$step->place] ?? 0) < ($this->places[$step->place] ?? 1);
        if ($step->hands <= $minutes && $room) {
            $then = $used;
            if ($step->place !== null) {
                $then[$step->place] = ($used[$step->place] ?? 0) + 1;
            }
            $this->visit($at + 1, $minutes - $step->hands, $worth + self::gain($step, $this->night), [...$taken, $step], $then);
        }
        $this->visit($at + 1, $minutes, $worth, $taken, $used);
    }

    /** What can be gained at most from here on: the last one in parts. */
    private function most(int $at, int $minutes): float
    {
        $most = 0.0;
        for ($i = $at; isset($this->steps[$i]); $i++) {
            $step = $this->steps[$i];
            if ($step->hands > $minutes) {
                return $most + self::gain($step, $this->night) * $minutes / max(1, $step->hands);
            }
            $most += self::gain($step, $this->night);
            $minutes -= $step->hands;
        }

        return $most;
    }
}
