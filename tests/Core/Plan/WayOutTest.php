<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use OddBench\Plan\PlanJob;
use OddBench\Plan\Step;
use OddBench\Plan\WayOut;
use OddBench\Plan\Worker;
use PHPUnit\Framework\TestCase;

final class WayOutTest extends TestCase
{
    private const DAY = [[0, 480]];

    public function test_a_part_that_comes_too_late(): void
    {
        $job = new PlanJob('A', 300, 1.0, [new Step(60, notBefore: 400)]);
        self::assertSame(['part' => true, 'hands' => false, 'first' => null], $this->out([$job], 'A'));
        self::assertTrue($this->out([new PlanJob('A', 300, 1.0, [new Step(60, waitsFor: 'a fan')])], 'A')['part']);
    }

    public function test_too_few_hands(): void
    {
        $jobs = [new PlanJob('A', 200, 1.0, [new Step(190)]), new PlanJob('B', 200, 5.0, [new Step(190)])];
        self::assertSame(['part' => false, 'hands' => true, 'first' => ['B']], $this->out($jobs, 'A'));
    }

    public function test_going_first_where_nobody_is_hurt(): void
    {
        $jobs = [new PlanJob('A', 100, 1.0, [new Step(90)]), new PlanJob('B', null, 1.0, [new Step(50)])];
        self::assertSame([], $this->out($jobs, 'A')['first']);
    }

    public function test_where_nothing_helps(): void
    {
        self::assertSame(
            ['part' => false, 'hands' => false, 'first' => null],
            $this->out([new PlanJob('A', 100, 1.0, [new Step(50, alone: 300)])], 'A'),
        );
        // nobody has the right, and nobody else would
        self::assertFalse($this->out([new PlanJob('A', 100, 1.0, [new Step(50, rights: ['mains'])])], 'A')['hands']);
    }

    /**
     * @param  list<PlanJob>  $jobs
     * @return array<string, mixed>
     */
    private function out(array $jobs, string $id): array
    {
        return (new WayOut([new Worker('Bo', self::DAY)], $jobs, [], self::DAY))->of($id);
    }
}
