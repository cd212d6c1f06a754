<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use InvalidArgumentException;
use OddBench\Fleet\AgainstSisters;
use OddBench\Fleet\Comebacks;
use PHPUnit\Framework\TestCase;

final class ComebacksTest extends TestCase
{
    /** R 4.2: poisson.test(9, 4.2)$conf.int; poisson.test(0, 3.1)$conf.int; poisson.test(30, 41)$conf.int */
    public function test_the_limits_are_the_exact_ones(): void
    {
        foreach ([
            [9, 4.2, 0.9798507375, 4.0678103456],
            [0, 3.1, 0.0, 1.189961114],
            [30, 41.0, 0.4936798542, 1.0445576926],
        ] as [$back, $expected, $low, $high]) {
            $comebacks = Comebacks::of(array_fill(0, 100, $expected / 100), $back);
            self::assertEqualsWithDelta([$low, $high], $comebacks->interval(), 1e-8);
            self::assertEqualsWithDelta($back / $expected, $comebacks->ratio(), 1e-9);
        }
    }

    public function test_whoever_gets_the_hard_ones_is_not_measured_by_the_easy_ones(): void
    {
        // the same four of twenty: usual with jobs of which a fifth comes back, many with jobs of which a fiftieth does
        self::assertStringContainsString('as usual', Comebacks::of(array_fill(0, 20, 0.2), 4)->because());
        $easy = Comebacks::of(array_fill(0, 60, 0.02), 6);
        self::assertSame('6 of 60 came back, 1.2 are usual of such jobs: more than by chance.', $easy->because());
        self::assertStringContainsString('fewer than by chance', Comebacks::of(array_fill(0, 60, 0.2), 3)->because());
    }

    public function test_of_few_nothing_is_said(): void
    {
        self::assertStringContainsString('too few', Comebacks::of([0.1, 0.1, 0.1], 2)->because());
        self::assertNull(Comebacks::of([0.0, 0.0], 0)->interval());
    }

    public function test_no_more_come_back_than_there_were(): void
    {
        $this->expectException(InvalidArgumentException::class);
        Comebacks::of([0.1], 2);
    }

    /** R: 1 - pbinom(own - 1, own + others, hours/(hours + others' hours), lower = FALSE) */
    public function test_a_machine_against_its_sisters(): void
    {
        foreach ([
            [4, 400, 12, 8400, 0.9949986791],
            [1, 500, 3, 1200, 0.2482728895],
            [7, 900, 70, 9000, 0.4425681294],
        ] as [$own, $hours, $others, $theirs, $sure]) {
            self::assertEqualsWithDelta($sure, AgainstSisters::of($own, $hours, $others, $theirs)->sure, 1e-9);
        }
        $fourth = AgainstSisters::of(4, 400, 12, 8400);
        self::assertSame([100.0, 700.0], [$fourth->between, $fourth->sistersBetween]);
        self::assertSame(0.0, AgainstSisters::of(0, 400, 12, 8400)->sure);
        self::assertNull(AgainstSisters::of(3, 100, 0, 900)->sistersBetween);
    }
}
