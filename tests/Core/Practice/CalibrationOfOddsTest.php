<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use OddBench\Practice\JobTest;
use OddBench\Practice\SampledMachines;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\TradeKnowledge;

/** Machines whose owners tell at random: odds mean what they say when what was not told is weighed. */
final class CalibrationOfOddsTest extends TestCase
{
    public function test_every_bin_lies_within_three_standard_errors_and_the_score_is_better_than_without(): void
    {
        $test = new JobTest(TradeKnowledge::read(), []);
        $machines = (new SampledMachines(TradeKnowledge::read(), new Randomizer(new Mt19937(1))))->drawTold(800);
        $weighed = $test->calibration($machines);
        $unknown = $test->calibration($machines, 'unknown');

        foreach ($weighed->rows as $row) {
            $error = sqrt($row['told'] * (1 - $row['told']) / $row['count']);
            self::assertLessThan(
                3.0,
                abs($row['was'] - $row['told']) / $error,
                sprintf('%.1f to %.1f: told %.3f, was %.3f', $row['from'], $row['to'], $row['told'], $row['was']),
            );
        }
        self::assertLessThan(0.97, $weighed->brier / $unknown->brier);
        self::assertCount(10, $weighed->rows);
    }
}
