<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use OddBench\Money\DonorPart;
use OddBench\Money\PartsWorth;
use PHPUnit\Framework\TestCase;

final class PartsWorthTest extends TestCase
{
    public function test_a_part_worked_by_hand(): void
    {
        // half worn: .75 × .5; four a year and none on the shelf: 1 − e⁻⁴ = .981684; 6 min at 90
        $worth = PartsWorth::of([$this->part()], 90);
        self::assertSame((int) round(8000 * 0.375 * 0.981684) - 540, $worth->worth);
    }

    public function test_what_nobody_asked_for_in_two_years_is_scrap(): void
    {
        $worth = PartsWorth::of([$this->part(lastYear: 0, twoYears: 0)], 90);
        self::assertSame([0, 1], [$worth->worth, $worth->unasked]);
        self::assertStringContainsString('Nobody asked', $worth->howSure());
        self::assertGreaterThan(0, PartsWorth::of([$this->part(lastYear: 0, twoYears: 1, price: 80_000)], 90)->worth);
    }

    public function test_a_full_shelf_makes_one_more_worth_little(): void
    {
        $of = fn (int $shelf): float => PartsWorth::of([$this->part(shelf: $shelf)], 0)->pieces[0]->asked;
        // Poisson with mean 4: P(more than 0, 1, 4), R: 1 - ppois(c(0, 1, 4), 4)
        self::assertEqualsWithDelta(0.9816844, $of(0), 1e-7);
        self::assertEqualsWithDelta(0.9084218, $of(1), 1e-7);
        self::assertEqualsWithDelta(0.3711631, $of(4), 1e-7);
        $two = PartsWorth::of([$this->part(), $this->part()], 0);
        self::assertEqualsWithDelta(0.9084218, $two->pieces[1]->asked, 1e-7);
    }

    public function test_a_worn_out_part_is_worth_nothing_and_an_unknown_one_half(): void
    {
        self::assertSame(0, PartsWorth::of([$this->part(run: 3000)], 0)->worth);
        self::assertSame(0.5, PartsWorth::of([$this->part(run: null)], 0)->pieces[0]->left);
        self::assertSame(0.75, PartsWorth::of([$this->part(run: 0.0)], 0)->pieces[0]->left);
    }

    public function test_nothing_is_taken_out_that_costs_more_hands_than_it_brings(): void
    {
        self::assertSame(0, PartsWorth::of([$this->part(price: 500)], 90)->worth);
        self::assertSame('Nothing is known of its parts.', PartsWorth::of([], 90)->howSure());
        self::assertStringContainsString('Fairly sure', PartsWorth::of([$this->part()], 90)->howSure());
        self::assertStringContainsString('Rather a guess', PartsWorth::of([$this->part(lastYear: 1, twoYears: 2)], 90)->howSure());
    }

    private function part(int $price = 8000, ?float $run = 1000.0, int $lastYear = 4, int $twoYears = 7, int $shelf = 0): DonorPart
    {
        return new DonorPart('Heat-break fan', 'heat-break-fan', $price, $run, 2000.0, $lastYear, $twoYears, $shelf);
    }
}
