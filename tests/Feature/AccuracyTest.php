<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computation\Accuracy\Compared;
use App\Computation\Accuracy\SimulatedMachines;
use OddBench\Computation\Catalogue;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** The short form of `bin/odd-bench accuracy`: instruments on simulated machines, and how differences are counted. */
final class AccuracyTest extends TestCase
{
    public function test_no_instrument_calls_a_machine_with_a_hidden_fault_well(): void
    {
        $machines = new SimulatedMachines(Catalogue::of(TradeKnowledge::read()), 3);
        foreach ($machines->bad() as $row) {
            self::assertSame(0, $row['ok'], "{$row['instrument']} on {$row['fault']}");
        }
        foreach ($machines->well() as $row) {
            self::assertSame([0, 0], [$row['alarms'], $row['unsettled']], $row['instrument']);
        }
    }

    public function test_every_simulated_fault_has_its_instrument_or_is_named(): void
    {
        $machines = new SimulatedMachines(Catalogue::of(TradeKnowledge::read()), 1);

        self::assertSame(['break-fan-dead', 'carriage-blocked', 'slot-jammed', 'supply-sags'], $machines->unseen());
    }

    public function test_the_worst_difference_counts_and_no_number_is_the_worst(): void
    {
        self::assertSame('5.0e-1 of it', Compared::over('a', 'b', [[1.0, 1.0], [3.0, 2.0], [0.9, 1.0]])->worst);
        self::assertSame('10 %', Compared::over('a', 'b', [[1.1, 1.0]], '%.0f %%')->worst);
        self::assertSame('inf of it', strtolower(Compared::over('a', 'b', [[NAN, 1.0]])->worst));
    }
}
