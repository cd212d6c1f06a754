<?php

declare(strict_types=1);

namespace Tests\Core\Fleet;

use InvalidArgumentException;
use OddBench\Fleet\Affected;
use OddBench\Fleet\Campaign;
use OddBench\Input\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Against R 4.2: the least so many affected with phyper(seen - 1, all, fleet - all, looked, lower = FALSE) above (1 - level)/2, and
 * the most with phyper(seen, all, fleet - all, looked) above it.
 */
final class CampaignTest extends TestCase
{
    /** @return iterable<string, array{int, int, int, float, int, int}> */
    public static function fromR(): iterable
    {
        yield '80, 70, 3' => [80, 70, 3, 0.95, 3, 5];
        yield '29, 11, 3' => [29, 11, 3, 0.95, 3, 15];
        yield '29, 11, none' => [29, 11, 0, 0.95, 0, 6];
        yield '200, 20, all of them' => [200, 20, 20, 0.95, 168, 200];
        yield '500, 40, 1, nine in ten' => [500, 40, 1, 0.9, 1, 54];
        yield '8, 8, 3' => [8, 8, 3, 0.95, 3, 3];
        yield '29, nobody looked' => [29, 0, 0, 0.95, 0, 29];
        yield '2000, 150, 12, 99 in 100' => [2000, 150, 12, 0.99, 71, 303];
        yield '40, 39, none' => [40, 39, 0, 0.95, 0, 0];
    }

    #[DataProvider('fromR')]
    public function test_the_bounds(int $fleet, int $looked, int $affected, float $level, int $least, int $most): void
    {
        $told = (new Campaign)->compute(['fleet' => $fleet, 'looked' => $looked, 'affected' => $affected, 'level' => $level]);

        self::assertSame([$least, $most], [$told['least'], $told['most']]);
        self::assertSame($least === $most, $told['settled']);
    }

    /** Whatever the truth is, what is said holds at least as often as it claims: every truth, every draw, exactly. */
    /** Every fleet up to 14, with the hypergeometric chances counted out in whole numbers. */
    public function test_the_bounds_of_small_fleets_counted_out(): void
    {
        $choose = static function (int $n, int $k): int {
            $ways = $k < 0 || $k > $n ? 0 : 1;
            for ($i = 0; $i < min($k, $n); $i++) {
                $ways = intdiv($ways * ($n - $i), $i + 1);
            }

            return $ways;
        };
        for ($fleet = 1; $fleet <= 14; $fleet++) {
            for ($looked = 1; $looked <= $fleet; $looked++) {
                for ($seen = 0; $seen <= $looked; $seen++) {
                    $may = [];
                    for ($all = $seen; $all <= $fleet - $looked + $seen; $all++) {
                        $ways = static fn (int $from, int $to): int => array_sum(array_map(
                            static fn (int $k): int => $choose($all, $k) * $choose($fleet - $all, $looked - $k),
                            $to < $from ? [] : range($from, $to),
                        ));
                        $of = $choose($fleet, $looked);
                        // neither so many nor so few are rarer than one in forty
                        if (40 * $ways($seen, $looked) > $of && 40 * $ways(0, $seen) > $of) {
                            $may[] = $all;
                        }
                    }
                    $found = Affected::of($fleet, $looked, $seen, 0.95);
                    self::assertSame([min($may), max($may)], [$found->least, $found->most], "{$seen} of {$looked} of {$fleet}");
                }
            }
        }
    }

    public function test_the_bounds_hold_as_often_as_they_say(): void
    {
        [$fleet, $looked] = [24, 9];
        $choose = static function (int $n, int $k): float {
            $ways = $k < 0 || $k > $n ? 0.0 : 1.0;
            for ($i = 1; $i <= $k && $ways > 0.0; $i++) {
                $ways = $ways * ($n - $k + $i) / $i;
            }

            return $ways;
        };
        for ($truth = 0; $truth <= $fleet; $truth++) {
            $holds = 0.0;
            for ($seen = max(0, $looked - $fleet + $truth); $seen <= min($looked, $truth); $seen++) {
                $said = Affected::of($fleet, $looked, $seen, 0.95);
                $holds += $said->least <= $truth && $truth <= $said->most
                    ? $choose($truth, $seen) * $choose($fleet - $truth, $looked - $seen) / $choose($fleet, $looked)
                    : 0.0;
            }
            self::assertGreaterThanOrEqual(0.95 - 1e-9, $holds, "when {$truth} are affected");
        }
    }

    public function test_how_many_more_looks_would_settle_it(): void
    {
        self::assertSame(0, Affected::of(8, 8, 3, 0.95)->looksToSettle(0.95));
        self::assertSame(0, Affected::of(40, 39, 0, 0.95)->looksToSettle(0.95));
        // R: with 38 of 40 looked at and none seen, phyper(0, 1, 39, 38) is 0.05: one may be left
        self::assertSame(1, Affected::of(40, 38, 0, 0.95)->looksToSettle(0.95));
        self::assertSame(18, Affected::of(29, 11, 3, 0.95)->looksToSettle(0.95));
    }

    public function test_what_it_says(): void
    {
        self::assertSame('None of 9 looked at yet.', Affected::of(9, 0, 0, 0.95)->because());
        self::assertSame(
            '3 of 11 looked at are affected: of all 29 between 3 and 15 (95 %). 18 still to look at.',
            Affected::of(29, 11, 3, 0.95)->because(),
        );
        self::assertSame('1 of 4 looked at is affected; that is all of them.', Affected::of(4, 4, 1, 0.95)->because());
    }

    /** @return iterable<string, array{array<string, int|float>, string}> */
    public static function refused(): iterable
    {
        yield 'over nothing' => [['fleet' => 0, 'looked' => 0, 'affected' => 0], 'fleet'];
        yield 'more looked at than there are' => [['fleet' => 5, 'looked' => 6, 'affected' => 0], 'looked'];
        yield 'more affected than looked at' => [['fleet' => 5, 'looked' => 2, 'affected' => 3], 'affected'];
        yield 'half a machine' => [['fleet' => 5, 'looked' => 2.5, 'affected' => 1], 'looked'];
        yield 'all too sure' => [['fleet' => 5, 'looked' => 2, 'affected' => 1, 'level' => 1], 'level'];
    }

    /** @param  array<string, int|float>  $input */
    #[DataProvider('refused')]
    public function test_what_it_refuses(array $input, string $field): void
    {
        try {
            (new Campaign)->compute($input);
            self::fail('It was answered.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }

    public function test_counts_that_cannot_be(): void
    {
        $this->expectException(InvalidArgumentException::class);
        Affected::of(5, 2, 3, 0.95);
    }
}
