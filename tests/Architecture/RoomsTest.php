<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Who may use whom. Run by phpstan. */
final class RoomsTest
{
    /** Every room of app/ on its floor, and the rooms on its own floor that it may use beside all of the floors below. */
    public const FLOORS = [
        ['Api' => [], 'Knowledge' => ['Api'], 'Shop' => ['Api']],
        ['Machines' => []],
        ['Intake' => []],
        [
            'Safety' => [],
            'Instruments' => ['Safety'],
            'Stock' => ['Safety'],
            'Diagnosis' => ['Safety', 'Instruments', 'Stock'],
            'Repair' => ['Safety', 'Stock', 'Diagnosis'],
            'Proof' => ['Safety', 'Stock', 'Repair'],
        ],
        ['Release' => [], 'Money' => ['Release'], 'Fleet' => [], 'Practice' => [], 'Plan' => []],
        ['Passport' => [], 'JobScreen' => ['Passport'], 'Bench' => [], 'Scan' => [], 'Computation' => [], 'Demo' => []],
    ];

    /** @return array<string, list<string>> room => the rooms it may use */
    public static function mayUse(): array
    {
        $may = $below = [];
        foreach (self::FLOORS as $floor) {
            foreach ($floor as $room => $beside) {
                $may[$room] = [...$below, ...$beside];
            }
            $below = [...$below, ...array_keys($floor)];
        }

        return $may;
    }

    /** @return iterable<Rule> */
    public function test_rooms_stand_on_floors_and_use_only_what_lies_below(): iterable
    {
        $may = self::mayUse();
        foreach ($may as $room => $used) {
            $others = array_values(array_diff(array_keys($may), $used, [$room]));
            if ($others === []) {
                continue;
            }
            yield PHPat::rule()
                ->classes(Selector::inNamespace("App\\{$room}"))
                ->shouldNotDependOn()
                ->classes(...array_map(static fn (string $other) => Selector::inNamespace("App\\{$other}"), $others))
                ->because("{$room} stands lower: what a higher room has to say to it comes through an interface it owns");
        }
    }

    public function test_core_uses_nothing_but_php(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('OddBench'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('OddBench'), Selector::inNamespace('Random'), Selector::classname('/^[A-Za-z]+$/', true))
            ->because('the rules of the job know no framework, no database and no screen');
    }

    public function test_rooms_do_not_use_other_rooms_controllers(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App'))
            ->shouldNotDependOn()
            ->classes(Selector::classname('/^App\\\\.+Controller$/', true))
            ->because('a controller is a room’s door, not its furniture');
    }

    public function test_knowledge_does_not_depend_on_the_rooms_that_use_it(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('OddBench\Knowledge'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('OddBench\Diagnosis'),
                Selector::inNamespace('OddBench\Proof'),
                Selector::inNamespace('OddBench\Release'),
            )
            ->because('what the trade knows comes before what is worked out from it');
    }

    public function test_the_simulated_printer_shares_nothing_with_what_judges_it(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('OddBench\Rig'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('OddBench\Rig'), Selector::inNamespace('Random'), Selector::classname('/^[A-Za-z]+$/', true))
            ->because('a stand-in that shares code with the runner would share its mistakes');
    }

    public function test_what_speaks_with_printers_lives_without_the_database(): Rule
    {
        return PHPat::rule()
            ->classes(
                Selector::classname('App\Proof\Runner\Link'),
                Selector::classname('App\Proof\Runner\Wire'),
                Selector::classname('App\Proof\Runner\Prover'),
                Selector::classname('App\Proof\Runner\RunFiles'),
                Selector::classname('App\Proof\Console\ProverCommand'),
            )
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('Illuminate\Database'),
                Selector::classname('Illuminate\Support\Facades\DB'),
                Selector::classname('App\Proof\Run\ProofRun'),
            )
            ->because('a database that is away or hangs must not keep a heater on');
    }

    public function test_the_runner_knows_no_simulated_printer(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('OddBench\Proof'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('OddBench\Rig'))
            ->because('it speaks to printers, not to ours');
    }
}
