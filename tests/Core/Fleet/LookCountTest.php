<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use InvalidArgumentException;
use OddBench\Fleet\LookCount;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The score interval against R 4.2: prop.test(affected, looked, correct = FALSE)$conf.int */
final class LookCountTest extends TestCase
{
    /** @return iterable<string, array{int, int, float, float}> */
    public static function fromR(): iterable
    {
        yield 'prop.test(3, 11, correct = FALSE)' => [3, 11, 0.0974605929, 0.5656453012];
        yield 'prop.test(0, 13, correct = FALSE)' => [0, 13, 0.0, 0.2280953724];
        yield 'prop.test(5, 5, correct = FALSE)' => [5, 5, 0.5655175352, 1.0];
        yield 'prop.test(1, 1, correct = FALSE)' => [1, 1, 0.2065493144, 1.0];
        yield 'prop.test(40, 200, correct = FALSE)' => [40, 200, 0.1504520093, 0.2608551866];
    }

    #[DataProvider('fromR')]
    public function test_the_interval_agrees_with_r(int $affected, int $looked, float $low, float $high): void
    {
        $interval = LookCount::of(500, $looked, $affected)->interval();

        self::assertNotNull($interval);
        self::assertEqualsWithDelta([$low, $high], $interval, 1e-10);
    }

    public function test_its_ends_are_where_the_score_test_just_rejects(): void
    {
        // Wilson's definition: at either end, (p̂ − p)² = z² p (1 − p) / n
        foreach ([[2, 7], [9, 31], [50, 60]] as [$affected, $looked]) {
            foreach (LookCount::of(100, $looked, $affected)->interval() ?? [] as $p) {
                self::assertEqualsWithDelta(1.959963984540054 ** 2 * $p * (1 - $p) / $looked, ($affected / $looked - $p) ** 2, 1e-12);
            }
        }
    }

    public function test_it_says_how_far_the_looking_has_come(): void
    {
        self::assertSame('None of 9 looked at yet.', LookCount::of(9, 0, 0)->because());
        self::assertNull(LookCount::of(9, 0, 0)->share());
        self::assertSame(
            '3 of 11 looked at are affected: of all such machines between 9 % and 57 % (95 % interval). 4 still to look at.',
            LookCount::of(15, 11, 3)->because(),
        );
        self::assertSame('1 of 4 looked at is affected; that is all of them.', LookCount::of(4, 4, 1)->because());
    }

    public function test_counts_that_cannot_be_are_refused(): void
    {
        $this->expectException(InvalidArgumentException::class);
        LookCount::of(5, 2, 3);
    }
}
