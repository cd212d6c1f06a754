<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use OddBench\Input\InputError;
use OddBench\Money\Bid;
use OddBench\Money\BidCap;
use OddBench\Money\BidCase;
use OddBench\Money\BidEnd;
use OddBench\Money\BidStage;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class BidCapTest extends TestCase
{
    public function test_one_stage_worked_by_hand(): void
    {
        $bid = (new BidCap)->compute([
            'stages' => [['name' => 'runs', 'cost' => 7500, 'passes' => 0.75, 'fallback' => 9000]],
            'sells_at' => 30000, 'costs' => 4000, 'margin' => 4000,
        ]);
        // .75 × 30000 + .25 × 9000 − 7500 = 17250; less 8000
        self::assertSame(9250, $bid['most']);
        self::assertEqualsWithDelta(15750, $bid['plan'][0]['stop_above'], 1e-9);
        $sure = (new BidCap)->judge(new BidCase([new BidStage('runs', 7500, 1.0, 9000, 'split')], 30000, 4000, 4000));
        self::assertEqualsWithDelta(21000, $sure->plan[0]->stopAbove, 1e-9);
    }

    public function test_three_stages_as_a_tree_walked_by_hand(): void
    {
        $bid = (new BidCap)->judge($this->feeder());
        self::assertSame(12345, $bid->most);
        foreach ([[16345.5, 8545.5], [18495, 12495], [23700, 7200]] as $i => [$worth, $stop]) {
            self::assertEqualsWithDelta($worth, $bid->plan[$i]->worth, 1e-9);
            self::assertEqualsWithDelta($stop, $bid->plan[$i]->stopAbove, 1e-9);
        }
        self::assertSame([null, 'split', 'single'], array_map(static fn (BidEnd $e): ?string => $e->name, $bid->ends));
        self::assertEqualsWithDelta([0.612, 0.235, 0.153], self::chances($bid), 1e-12);
        self::assertSame('0.8 × 300.00 + 0.2 × 210.00 − 45.00 = 237.00', $bid->plan[2]->because());
        self::assertSame(-3654, $bid->earns(20_000));
        self::assertSame(4001, $bid->earns(12_345));
        // at 200 all passed brings 300 for 287 spent; single material 210 and the parts less than was spent by then
        self::assertEqualsWithDelta(0.612, $bid->winsAt(20_000), 1e-12);
        self::assertEqualsWithDelta(0.612 + 0.153, $bid->winsAt(12_000), 1e-12);
        self::assertSame(0.0, $bid->winsAt(21_300));
    }

    public function test_against_every_way_to_stop_tried_one_by_one(): void
    {
        $random = new Randomizer(new Mt19937(31));
        for ($n = 0; $n < 400; $n++) {
            $stages = [];
            for ($k = $random->getInt(0, 6); $k > 0; $k--) {
                $stages[] = new BidStage(
                    "s{$k}",
                    $random->getInt(0, 6000),
                    $random->getInt(0, 100) / 100,
                    $random->getInt(0, 20_000),
                    'stop',
                );
            }
            $case = new BidCase($stages, $random->getInt(0, 40_000), $random->getInt(0, 3000), $random->getInt(0, 3000));
            $best = -INF;
            // stop before stage k whatever came before, or never
            for ($stop = 0; $stop <= count($stages); $stop++) {
                $best = max($best, self::brings($case, $stop));
            }
            $bid = (new BidCap)->judge($case);
            self::assertEqualsWithDelta($best, $bid->worth, 1e-6);
            self::assertSame((int) floor($best - $case->costs - $case->margin + 1e-6), $bid->most);
            self::assertEqualsWithDelta(1.0, array_sum(self::chances($bid)), 1e-9);
        }
    }

    public function test_what_an_end_is_called_changes_nothing(): void
    {
        // a figure, the word for everything passed, a letter in another case: each is an end of its own
        foreach ([['7', '07', '-1'], ['all', 'All', '7'], ['0', '1', '2']] as $names) {
            $stages = [];
            foreach ($names as $name) {
                $stages[] = new BidStage("test {$name}", 100, 0.5, 1000, $name);
            }
            $bid = (new BidCap)->judge(new BidCase($stages, 40_000, 0, 0));
            self::assertSame([null, ...$names], array_map(static fn (BidEnd $e): ?string => $e->name, $bid->ends));
            self::assertEqualsWithDelta([0.125, 0.5, 0.25, 0.125], self::chances($bid), 1e-12);
        }
    }

    public function test_by_name_an_end_is_not_called_as_everything_passed(): void
    {
        $stage = ['name' => 'moves', 'cost' => 100, 'passes' => 0.5, 'fallback' => 1000];
        $answer = (new BidCap)->compute(['stages' => [['end' => '7'] + $stage, $stage], 'sells_at' => 40_000]);
        self::assertEquals((object) ['all' => 0.25, '7' => 0.5, 'moves fails' => 0.25], $answer['ends']);
        try {
            (new BidCap)->compute(['stages' => [$stage, ['end' => 'all'] + $stage], 'sells_at' => 40_000]);
            self::fail('one sum would stand for two ends');
        } catch (InputError $e) {
            self::assertSame('stages.1.end', $e->field);
            self::assertStringContainsString('call this end otherwise', $e->getMessage());
        }
    }

    public function test_a_stage_that_does_not_pay_is_not_gone_on_with(): void
    {
        $bid = (new BidCap)->judge(
            new BidCase([new BidStage('moves', 100, 0.5, 5000, 'split'), new BidStage('prints', 9000, 0.5, 5000, 'split')], 9000, 0, 0),
        );
        self::assertFalse($bid->plan[1]->goOn);
        self::assertSame(0.0, $bid->chance);
        self::assertEqualsWithDelta([0.0, 1.0], self::chances($bid), 1e-12);
    }

    public function test_on_a_par_the_work_is_saved(): void
    {
        $bid = (new BidCap)->judge(new BidCase([new BidStage('moves', 0, 1.0, 9000, 'split')], 9000, 0, 0));
        self::assertFalse($bid->plan[0]->goOn);
    }

    public function test_what_is_worth_less_than_it_costs_may_be_fetched_for_money_only(): void
    {
        self::assertSame(-2000, (new BidCap)->judge(new BidCase([], 3000, 4000, 1000))->most);
    }

    public function test_which_answer_of_the_seller_would_be_worth_most(): void
    {
        // by hand: 18495 − 1200; .9 × 20700 + 900 − 1200; .9 × (.85 × 25500 + .15 × 9000 − 3000) + 900 − 1200; each less 4000
        self::assertSame([13295, 14330, 13722], (new BidCap)->ifSure($this->feeder()));
    }

    public function test_it_is_stopped_above_what_the_stage_is_worth_not_at_it(): void
    {
        $step = (new BidCap)->judge($this->feeder())->plan[2];
        // 0.8 × 30,000 + 0.2 × 21,000 mended against 21,000 as it is: 7,200 more
        self::assertEqualsWithDelta(7200, $step->stopAbove, 1e-6);
        self::assertFalse($step->stopsAt($step->stopAbove));
        self::assertTrue($step->stopsAt($step->stopAbove + 1));
    }

    private function feeder(): BidCase
    {
        return new BidCase([
            new BidStage('moves', 1200, 0.9, 9000, 'split'),
            new BidStage('prints', 3000, 0.85, 9000, 'split'),
            new BidStage('all slots', 4500, 0.8, 21000, 'single'),
        ], 30000, 0, 4000);
    }

    /** What the way that stops before a stage brings, walked forward. */
    private static function brings(BidCase $case, int $stop): float
    {
        $reached = 1.0;
        $brings = 0.0;
        foreach ($case->stages as $i => $stage) {
            if ($i === $stop) {
                return $brings + $reached * $stage->fallback;
            }
            $brings += $reached * ((1 - $stage->passes) * $stage->fallback - $stage->cost);
            $reached *= $stage->passes;
        }

        return $brings + $reached * $case->sellsAt;
    }

    /** @return list<float> */
    private static function chances(Bid $bid): array
    {
        return array_map(static fn (BidEnd $e): float => $e->probability, $bid->ends);
    }
}
