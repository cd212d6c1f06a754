<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use OddBench\Input\InputError;
use OddBench\Money\Estimate;
use OddBench\Money\EstimateLine;
use OddBench\Money\OwnerSaid;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class EstimateTest extends TestCase
{
    private const WORKED = [
        'rate_per_minute' => 90,
        'find_minutes' => 12,
        'lines' => [
            ['code' => 'a', 'probability' => 0.62, 'minutes' => 20, 'parts' => 900],
            ['code' => 'b', 'probability' => 0.28, 'minutes' => 40, 'parts' => 6800],
            ['code' => 'else', 'probability' => 0.10, 'minutes' => 15, 'parts' => 600],
        ],
    ];

    public function test_what_was_done_is_taken_off_a_line_and_no_more_than_there_is(): void
    {
        $line = new EstimateLine('belt-slack', 0.4, 25.0, 300);
        self::assertEquals(new EstimateLine('belt-slack', 0.4, 15.0, 300), $line->after(10.0));
        self::assertSame(0.0, $line->after(90.0)->minutes);
    }

    public function test_the_worked_example(): void
    {
        // by hand: 12 × 90 + 20 × 90 + 900; …; .62 × 3780 + .28 × 11480 + .1 × 3030
        $answer = (new Estimate)->compute(self::WORKED);
        self::assertSame([3780, 11480, 3030], array_column($answer['lines'], 'sum'));
        self::assertSame([5861, 11480, 3030, 11480], [$answer['expected'], $answer['ceiling'], $answer['least'], $answer['most']]);
        self::assertSame(3780, (new Estimate)->compute([...self::WORKED, 'share' => 0.72])['ceiling']);
        self::assertSame(11480, (new Estimate)->compute([...self::WORKED, 'share' => 0.73])['ceiling']);
        self::assertSame(3030, (new Estimate)->compute([...self::WORKED, 'share' => 0.1])['ceiling']);
    }

    public function test_tax_and_the_minimum_hold_for_each_line(): void
    {
        $answer = (new Estimate)->compute([...self::WORKED, 'minimum' => 3500, 'tax_pct' => 19]);
        // 3780 × 1.19 = 4498.2; 11480 × 1.19 = 13661.2; 3500 × 1.19
        self::assertSame([4498, 13661, 4165], array_column($answer['lines'], 'sum'));
    }

    public function test_the_ceiling_is_the_quantile_of_a_thousand_machines_written_out(): void
    {
        $random = new Randomizer(new Mt19937(5));
        for ($n = 0; $n < 300; $n++) {
            $counts = [];
            for ($k = $random->getInt(1, 7); $k > 0; $k--) {
                $counts[] = $random->getInt(1, 40);
            }
            $all = array_sum($counts);
            $lines = $sums = [];
            foreach ($counts as $i => $count) {
                $lines[] = $line = new EstimateLine("line {$i}", $count / $all, $random->getInt(0, 90), $random->getInt(0, 4) * 1000);
                array_push($sums, ...array_fill(0, $count, (int) (90 * (7 + $line->minutes)) + $line->parts));
            }
            sort($sums);
            $share = $random->getInt(1, 99) / 100;
            // the smallest one that at least that share of them does not pass
            $written = $sums[(int) ceil(round($share * $all, 9)) - 1];
            $judged = (new Estimate)->judge(90, 7, $lines, $share);
            self::assertSame($written, $judged->ceiling);
            self::assertSame((int) floor(array_sum($sums) / $all + 0.5 + 1e-9), $judged->expected);
            self::assertEqualsWithDelta(
                count(array_filter($sums, static fn (int $s): bool => $s <= $written)) / $all,
                $judged->within,
                1e-9,
            );
        }
    }

    public function test_lines_that_leave_something_out_are_refused(): void
    {
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('add up to 0.9, not to 1');
        (new Estimate)->compute(['lines' => array_slice(self::WORKED['lines'], 0, 2)] + self::WORKED);
    }

    public function test_no_line_is_no_estimate(): void
    {
        $this->expectExceptionMessage('at least one way');
        (new Estimate)->compute(['lines' => []] + self::WORKED);
    }

    public function test_in_writing_an_owner_agrees_to_no_more_than_the_estimate_said(): void
    {
        // “about 70, not more than 80 in 8 of 10”
        self::assertSame(8000, OwnerSaid::most(7000, 8000, 12_000));
        // “in 9 of 10 not more than 17.85; the others up to 97.01, so that 18.55 is the average”
        self::assertSame(9701, OwnerSaid::most(1855, 1785, 9701));
        // one kept before the dearest was
        self::assertSame(1855, OwnerSaid::most(1855, 1785, 0));
    }
}
