<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use OddBench\Diagnosis\CaseFile;
use OddBench\Diagnosis\Session;
use OddBench\Money\BidStage;
use OddBench\Money\StagedTests;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

final class StagedTestsTest extends TestCase
{
    public function test_a_feeder_is_tested_last_and_only_where_there_is_one(): void
    {
        self::assertSame(
            ['Moves by hand, homes and heats', 'Prints from its own storage', 'The same through every slot'],
            array_map(static fn (BidStage $s): string => $s->name, $this->stages('heron-cx', [], 21000)),
        );
        $plain = $this->stages('wren-mini', [], null);
        self::assertCount(2, $plain);
        self::assertSame([9000, 9000], array_map(static fn (BidStage $s): int => $s->fallback, $plain));
        $feeder = $this->stages('heron-cx', [], 21000)[2];
        self::assertSame([21000, 'single-material'], [$feeder->fallback, $feeder->end]);
    }

    public function test_what_the_seller_says_makes_its_own_test_dearer_and_less_sure(): void
    {
        $silent = $this->stages('tern-220', [], null);
        $told = $this->stages('tern-220', ['jams-when-warm' => 'present', 'nothing-comes-out' => 'present'], null);
        self::assertGreaterThan($silent[1]->cost, $told[1]->cost);
        self::assertLessThan($silent[1]->passes, $told[1]->passes);
        self::assertEqualsWithDelta($silent[0]->passes, $told[0]->passes, 0.02, 'it says little of how it moves');
    }

    public function test_each_test_takes_its_minutes_at_least_and_is_never_more_than_sure(): void
    {
        foreach ($this->stages('heron-cx', ['jams-when-warm' => 'present'], 21000) as $i => $stage) {
            self::assertGreaterThanOrEqual([20, 25, 30][$i] * 90, $stage->cost);
            self::assertGreaterThan(0.3, $stage->passes);
            self::assertLessThanOrEqual(1.0, $stage->passes);
        }
    }

    public function test_without_its_feeder_it_brings_seven_tenths_of_what_it_brings_whole(): void
    {
        self::assertSame([21000, 0, 1], array_map(StagedTests::single(...), [30000, 0, 1]));
    }

    /**
     * @param  array<string, string>  $findings
     * @return list<BidStage>
     */
    private function stages(string $family, array $findings, ?int $single): array
    {
        $knowledge = TradeKnowledge::read();

        return StagedTests::of(Session::open(CaseFile::read([
            'traits' => $knowledge->families[$family]->traits,
            'findings' => $findings,
            'rates' => ['bench_minute' => 90],
        ], $knowledge), $knowledge), $knowledge, 90, 9000, $single);
    }
}
