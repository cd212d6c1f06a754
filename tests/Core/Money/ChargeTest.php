<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use OddBench\Input\InputError;
use OddBench\Money\Charge;
use OddBench\Money\PartSold;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class ChargeTest extends TestCase
{
    private const WORKED = [
        'hands_minutes' => 47,
        'rate_per_minute' => 90,
        'parts' => [['count' => 1, 'cost' => 930, 'markup_pct' => 35]],
    ];

    public function test_the_worked_example(): void
    {
        $answer = (new Charge)->compute(self::WORKED);
        self::assertSame(['hands' => 4230, 'parts' => 1256, 'net' => 5486, 'tax' => 0, 'gross' => 5486, 'own_cost' => 5160], $answer);
    }

    public function test_against_exact_decimals(): void
    {
        $random = new Randomizer(new Mt19937(8));
        for ($n = 0; $n < 500; $n++) {
            [$count, $cost, $markup, $tax] = [
                $random->getInt(1, 40),
                $random->getInt(1, 90_000),
                $random->getInt(0, 9000) / 100,
                $random->getInt(0, 2500) / 100,
            ];
            $line = BigDecimal::of($cost)->multipliedBy($count)->multipliedBy(
                BigDecimal::of((string) $markup)->plus(100),
            )->dividedBy(100, 0, RoundingMode::HALF_UP);
            $net = $line->plus(47 * 90);
            $charged = (new Charge)->judge(47, 90, [new PartSold($count, $cost, $markup)], taxPct: $tax);
            self::assertSame($net->toInt(), $charged->net);
            self::assertSame(
                $net->multipliedBy(BigDecimal::of((string) $tax))->dividedBy(100, 0, RoundingMode::HALF_UP)->toInt(),
                $charged->tax,
            );
            self::assertSame($charged->net + $charged->tax, $charged->gross);
        }
    }

    public function test_each_kind_of_part_is_rounded_by_itself(): void
    {
        $charged = (new Charge)->judge(0, 90, [new PartSold(1, 5, 10), new PartSold(1, 5, 10)]);
        self::assertSame([6, 6], $charged->partPrices);
        self::assertSame(11, (new PartSold(2, 5, 10))->price());
    }

    public function test_the_minimum_holds_but_for_what_is_not_charged(): void
    {
        self::assertSame(9000, (new Charge)->compute([...self::WORKED, 'minimum' => 9000])['net']);
        self::assertSame(5486, (new Charge)->compute([...self::WORKED, 'minimum' => 5486])['net']);
        $free = (new Charge)->compute([...self::WORKED, 'minimum' => 9000, 'no_charge' => true, 'freight' => 400, 'tax_pct' => 19]);
        self::assertSame([0, 0, 0, 5560], [$free['net'], $free['tax'], $free['gross'], $free['own_cost']]);
    }

    public function test_what_it_cost_the_shop_counts_all_minutes_at_its_own_rate(): void
    {
        $charged = (new Charge)->judge(47, 90, [new PartSold(2, 300, 50)], 150, 0, 0, false, 40, 60);
        self::assertSame(60 * 40 + 600 + 150, $charged->ownCost);
        self::assertSame(47 * 90 + 900 + 150, $charged->net);
    }

    public function test_tax_over_a_hundred_per_cent_is_refused(): void
    {
        try {
            (new Charge)->compute([...self::WORKED, 'tax_pct' => 101]);
            self::fail('taken');
        } catch (InputError $e) {
            self::assertSame('tax_pct', $e->field);
        }
    }
}
