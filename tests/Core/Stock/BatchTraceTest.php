<?php

declare(strict_types=1);

namespace Tests\Core\Stock;

use OddBench\Stock\BatchTrace;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** By hand, and against every way pieces could have been picked out of the bin. */
final class BatchTraceTest extends TestCase
{
    public function test_by_hand(): void
    {
        // two lay there, three of the batch came; five are taken one by one, the bin is empty then
        $trace = BatchTrace::of([[1, 2], [2, 3], [3, -1], [4, -1], [5, -1], [6, -1], [7, -1]], 2);
        self::assertSame(['sure' => 0, 'likely' => 0, 'most' => 1], $trace->taken[3]);
        self::assertSame(['sure' => 0, 'likely' => 0, 'most' => 1], $trace->taken[4]);
        self::assertSame(['sure' => 0, 'likely' => 1, 'most' => 1], $trace->taken[5]);
        self::assertSame(['sure' => 0, 'likely' => 0, 'most' => 0], $trace->left);

        // alone in the bin, or so many at once that some must be of it: certain
        self::assertSame(['sure' => 1, 'likely' => 1, 'most' => 1], BatchTrace::of([[1, 2], [2, -2], [3, 4], [4, -1]], 3)->taken[4]);
        self::assertSame(['sure' => 2, 'likely' => 2, 'most' => 3], BatchTrace::of([[1, 2], [2, 3], [3, -4]], 2)->taken[3]);
        // what went out before it came, and after the bin was empty, is not of it
        $trace = BatchTrace::of([[1, 3], [2, -1], [3, 1], [4, -3], [5, 2], [6, -1]], 3);
        self::assertSame([4], array_keys($trace->taken));
    }

    public function test_the_bounds_are_those_of_every_way_of_picking(): void
    {
        $random = new Randomizer(new Mt19937(7));
        for ($case = 0; $case < 200; $case++) {
            [$movements, $batch] = $this->story($random);
            $trace = BatchTrace::of($movements, $batch);
            [$ways, $left] = $this->everyWay($movements, $batch);
            foreach ($ways as $number => $counts) {
                $of = $trace->taken[$number] ?? ['sure' => 0, 'likely' => 0, 'most' => 0];
                self::assertSame(
                    [min($counts), max($counts)],
                    [$of['sure'], $of['most']],
                    (string) json_encode([$movements, $batch, $number]),
                );
                self::assertContains($of['likely'], $counts);
            }
            self::assertSame([min($left), max($left)], [$trace->left['sure'], $trace->left['most']]);
            self::assertContains($trace->left['likely'], $left);
        }
    }

    /** @return array{list<array{int, int}>, int} */
    private function story(Randomizer $random): array
    {
        $movements = [];
        $all = 0;
        $batch = $random->getInt(1, 4);
        for ($number = 1; $number <= 8; $number++) {
            $quantity = $number === $batch || $all === 0 || $random->getInt(0, 2) === 0
                ? $random->getInt(1, 3)
                : -$random->getInt(1, min(3, $all));
            $movements[] = [$number, $quantity];
            $all += $quantity;
        }

        return [$movements, $batch];
    }

    /**
     * @param  list<array{int, int}>  $movements
     * @return array{array<int, list<int>>, list<int>} movement => how many of the batch it can have taken; how many can be left
     */
    private function everyWay(array $movements, int $batch): array
    {
        // every state the bin can be in: how many of the batch and how many others lie there
        $states = ['0 0' => [0, 0]];
        $taken = [];
        foreach ($movements as [$number, $quantity]) {
            $next = [];
            foreach ($states as [$own, $others]) {
                if ($quantity > 0) {
                    $state = $number === $batch ? [$own + $quantity, $others] : [$own, $others + $quantity];
                    $next[implode(' ', $state)] = $state;

                    continue;
                }
                for ($of = 0; $of <= min($own, -$quantity); $of++) {
                    if (-$quantity - $of <= $others) {
                        $taken[$number][$of] = $of;
                        $state = [$own - $of, $others + $quantity + $of];
                        $next[implode(' ', $state)] = $state;
                    }
                }
            }
            $states = $next;
        }

        return [array_map(array_values(...), $taken), array_values(array_unique(array_column($states, 0)))];
    }
}
