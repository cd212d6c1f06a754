<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use DateTimeImmutable;
use OddBench\Input\InputError;
use OddBench\Money\ClaimChance;
use OddBench\Money\ClaimValue;
use OddBench\Money\CostSplit;
use OddBench\Money\Piece;
use OddBench\Money\RepairValue;
use OddBench\Money\StorageDue;
use OddBench\Money\WhatToDo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class WorthTest extends TestCase
{
    public function test_mending_as_worked_by_hand(): void
    {
        $worth = (new RepairValue)->compute(['sells_at' => 18000, 'further' => 8561, 'donor' => 6200]);
        self::assertSame([9439, 6200, 'mend', 11800], [$worth['mend'], $worth['split'], $worth['best'], $worth['flips_at']]);
    }

    public function test_a_mend_holds_as_often_as_machines_did_not_come_back(): void
    {
        self::assertSame(0.95, RepairValue::holds(0, 0), 'without a history one in twenty comes back');
        self::assertEqualsWithDelta(0.8, RepairValue::holds(100, 23), 1e-12, '24 of 120');
    }

    public function test_the_answer_turns_where_it_says_and_nowhere_else(): void
    {
        $random = new Randomizer(new Mt19937(3));
        for ($n = 0; $n < 500; $n++) {
            $value = new RepairValue;
            [$sells, $donor, $asIs] = [$random->getInt(0, 40_000), $random->getInt(0, 15_000), $random->getInt(0, 15_000)];
            [$chance, $weeks, $week] = [$random->getInt(0, 100) / 100, (float) $random->getInt(0, 8), $random->getInt(0, 400)];
            $at = $value->judge($sells, 0, $donor, $asIs, $chance, $weeks, $week)->flipsAt;
            $best = static fn (int $further): WhatToDo => $value->judge($sells, $further, $donor, $asIs, $chance, $weeks, $week)->best;
            if ($at === null) {
                self::assertNotSame(WhatToDo::Mend, $best(0));
            } else {
                self::assertNotSame(WhatToDo::Mend, $best($at + 1));
                if ($at >= 2) {
                    self::assertSame(WhatToDo::Mend, $best($at - 1));
                }
            }
            self::assertSame($asIs >= $donor ? WhatToDo::AsIs : WhatToDo::Split, $best(1_000_000));
        }
    }

    public function test_a_mend_in_vain_leaves_what_the_machine_brings_anyway(): void
    {
        // .8 × 18000 + .2 × 6200 − 3 × 150 − 2000
        self::assertSame(13190, (new RepairValue)->judge(18000, 2000, 6200, 1000, 0.8, 3, 150)->mend);
    }

    public function test_on_a_par_the_work_is_saved(): void
    {
        // 10000 − 4000 is what its parts bring
        $par = (new RepairValue)->judge(10_000, 4000, 6000);
        self::assertSame([6000, WhatToDo::Split, 4000], [$par->mend, $par->best, $par->flipsAt]);
        self::assertSame(WhatToDo::Mend, (new RepairValue)->judge(10_000, 3999, 6000)->best);
        self::assertSame(WhatToDo::AsIs, (new RepairValue)->judge(10_000, 4000, 6000, 6000)->best);
        self::assertSame(WhatToDo::Split, (new RepairValue)->judge(10_000, 4000, 6000, 5999)->best);
    }

    /** @return iterable<string, array{int, int, int, int, string}> sells at, still to spend, in parts, as it is, what is said */
    public static function turns(): iterable
    {
        yield 'mended rather than split' => [10_000, 2000, 6000, 0, 'Mending brings 80.00, splitting it the next best 60.00. '
            .'That turns when more than 40.00 is still to be spent.'];
        yield 'mended rather than sold as it is' => [10_000, 2000, 0, 6000, 'Mending brings 80.00, selling it as it is the next best '
            .'60.00. That turns when more than 40.00 is still to be spent.'];
        yield 'split, for too much is to be spent' => [10_000, 5000, 6000, 0, 'Mending brings 50.00, splitting it 60.00. '
            .'It would be worth it with no more than 40.00 still to spend.'];
        yield 'not even for nothing' => [5999, 0, 6000, 0, 'Even mended for nothing it would bring less than the 60.00 it brings now.'];
    }

    #[DataProvider('turns')]
    public function test_it_says_where_the_answer_turns(int $sells, int $further, int $donor, int $asIs, string $because): void
    {
        self::assertSame($because, (new RepairValue)->judge($sells, $further, $donor, $asIs)->because);
    }

    public function test_what_brings_as_much_as_it_brings_now_turns_at_nothing(): void
    {
        self::assertSame(0, (new RepairValue)->judge(6000, 0, 6000)->flipsAt);
        self::assertNull((new RepairValue)->judge(5999, 0, 6000)->flipsAt);
    }

    public function test_a_lot_is_split_as_worked_by_hand(): void
    {
        $split = new CostSplit;
        self::assertSame([6777, 15723], $split->judge(22500, [new Piece('feeder', 12500), new Piece('printer', 29000)]));
        self::assertSame([12500, 10000], $split->judge(22500, [new Piece('printer', 29000, 12500), new Piece('feeder', 12500)], true));
    }

    public function test_what_was_sold_never_costs_more_than_the_lot(): void
    {
        $split = new CostSplit;
        self::assertSame([20000, 0], $split->judge(20000, [new Piece('printer', 1, 30000), new Piece('feeder', 100)], true));
        // the last one sold: nothing is left to carry the rest
        self::assertSame([6667, 13333], $split->judge(20000, [new Piece('printer', 0, 5000), new Piece('feeder', 0, 10000)], true));
        self::assertSame([10000, 10000], $split->judge(20000, [new Piece('a', 0), new Piece('b', 0)]));
    }

    public function test_a_claim_as_worked_by_hand(): void
    {
        $claim = (new ClaimValue)->compute(['chance' => 0.2, 'worth' => 4500, 'effort' => 0, 'idle_days' => 14, 'day_costs' => 600]);
        self::assertSame([900, 8400, 'mend'], [$claim['wait'], $claim['mend_now'], $claim['advice']]);
        self::assertEqualsWithDelta(1.5, $claim['breaks_even_days'], 1e-12);
        self::assertSame('Mend: waiting costs 84.00, the claim is worth 9.00.', $claim['because']);
        self::assertSame(
            'wait',
            (new ClaimValue)->compute(['chance' => 0.2, 'worth' => 4500, 'idle_days' => 1, 'day_costs' => 600])['advice'],
        );
        self::assertNull((new ClaimValue)->judge(0.2, 4500, 0, 14, 0)->breaksEvenDays);
        self::assertSame(-100, (new ClaimValue)->judge(0.0, 4500, 100, 0, 600)->wait);
    }

    #[TestWith([0, 0, 0.0, 0.5])]
    #[TestWith([0, 3, 0.0, 0.2])]
    #[TestWith([3, 0, 0.0, 0.8])]
    #[TestWith([3, 0, 14.0, 0.4])]
    #[TestWith([0, 0, 28.0, 0.125])]
    public function test_chances_are_learned_and_grow_cold(int $won, int $lost, float $silent, float $chance): void
    {
        self::assertEqualsWithDelta($chance, ClaimChance::of($won, $lost, $silent), 1e-12);
        self::assertEqualsWithDelta(
            $chance,
            (new ClaimValue)->compute(
                ['won' => $won, 'lost' => $lost, 'silent_days' => $silent, 'worth' => 1, 'idle_days' => 0, 'day_costs' => 0],
            )['chance'],
            1e-12,
        );
    }

    public function test_a_chance_is_given_once(): void
    {
        $this->expectException(InputError::class);
        (new ClaimValue)->compute(['chance' => 0.2, 'won' => 1, 'worth' => 1, 'idle_days' => 0, 'day_costs' => 0]);
    }

    public function test_storage_as_worked_by_hand(): void
    {
        $owed = (new StorageDue)->compute(
            ['ready_on' => '2026-09-01', 'asked_on' => '2026-11-30', 'free_days' => 30, 'per_day' => 100, 'charged' => 5486],
        );
        self::assertSame([60, 11486], [$owed['days'], $owed['sum']]);
        self::assertStringContainsString('local law', $owed['because']);
        $day = static fn (string $d): DateTimeImmutable => new DateTimeImmutable($d);
        self::assertSame(0, (new StorageDue)->judge($day('2026-09-01'), $day('2026-10-01'), 30, 100, 0)->days);
        self::assertSame(1, (new StorageDue)->judge($day('2026-09-01'), $day('2026-10-02'), 30, 100, 0)->days);
        // over the end of February and a year
        self::assertSame(366, (new StorageDue)->judge($day('2027-12-31'), $day('2028-12-31'), 0, 1, 0)->days);
    }

    public function test_nothing_is_stored_before_it_is_ready(): void
    {
        $this->expectExceptionMessage('before ready_on');
        (new StorageDue)->compute(['ready_on' => '2026-09-02', 'asked_on' => '2026-09-01', 'free_days' => 0, 'per_day' => 1]);
    }
}
