<?php

declare(strict_types=1);

namespace App\Computation;

use OddBench\Plan\PlanJob;
use OddBench\Plan\Step;
use OddBench\Plan\Worker;
use Random\Randomizer;

/** A shop made up for measuring: four weeks of hours with a break, jobs of a few steps, some of which go by themselves. */
final readonly class MadeUpShop
{
    private const WEEKDAYS = 5;

    private const DAYS = 28;

    public function __construct(private Randomizer $random)
    {
    }

    /** @return list<Worker> the first a lead, every other qualified for mains */
    public function workers(int $count): array
    {
        $free = [];
        for ($day = 0; $day < self::DAYS; $day++) {
            if ($day % 7 < self::WEEKDAYS) {
                $free[] = [$day * 1440 + 480, $day * 1440 + 720];
                $free[] = [$day * 1440 + 765, $day * 1440 + 1020];
            }
        }

        return array_map(
            static fn (int $i): Worker => new Worker(
                "person {$i}",
                $free,
                [...($i === 1 ? ['lead'] : []), ...($i % 2 === 1 ? ['mains'] : [])],
            ),
            range(1, $count),
        );
    }

    /** @return list<PlanJob> */
    public function jobs(int $count): array
    {
        return array_map(fn (int $i): PlanJob => new PlanJob(
            "job {$i}",
            $this->one(3) ? null : $this->random->getInt(600, 7000),
            $this->random->getInt(1, 5),
            array_map(fn (): Step => $this->step(), range(1, $this->random->getInt(3, 9))),
        ), range(1, $count));
    }

    private function step(): Step
    {
        $alone = $this->one(3) ? $this->random->getInt(20, 400) : 0;

        return new Step(
            $this->random->getInt(5, 60),
            $alone,
            $alone > 0 && $alone < 60 && $this->one(2),
            $this->one(6) ? ['mains'] : [],
            $this->one(7) ? ['oven'] : [],
            $this->one(9) ? $this->random->getInt(0, 4000) : 0,
        );
    }

    private function one(int $in): bool
    {
        return $this->random->getInt(1, $in) === 1;
    }
}
