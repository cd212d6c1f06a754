<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use OddBench\Rig\Fault;
use OddBench\Rig\Numbers;
use OddBench\Rig\Printer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The simulated printer speaks the line protocol, and its faults show as such faults do. */
final class PrinterTest extends TestCase
{
    public function test_a_target_told_again_changes_nothing(): void
    {
        $printer = new Printer(Numbers::of('Tern 220', []));
        $printer->receive("M104 S200\n");
        $printer->advance(240);
        $printer->take();
        for ($t = 241; $t < 280; $t++) {
            $printer->receive("M104 S200\nM105\n");
            $printer->advance($t);
            self::assertSame(1, preg_match('/T:([\d.]+)/', $printer->take(), $found));
            self::assertEqualsWithDelta(200.0, (float) $found[1], 1.0);
        }
    }

    /** A protocol log written by hand: what goes in, what must come out. */
    public function test_a_conversation_written_by_hand(): void
    {
        $printer = $this->printer();
        self::assertSame("start\n", $printer->take());
        foreach ([
            ['M110 N0', "ok\n"],
            ['N1 G21*'.$this->sum('N1 G21'), "ok\n"],
            ['N2 G90*'.$this->sum('N2 G90'), "ok\n"],
            ['N3 M119*99', "Error:checksum mismatch, Last Line: 2\nResend: 3\nok\n"],
            ['N3 G1 X5*'.$this->sum('N3 G1 X5'), "echo:Home X First\nok\n"],
            ['N9 G90*'.$this->sum('N9 G90'), "Error:Line Number is not Last Line Number+1, Last Line: 3\nResend: 4\nok\n"],
            ['N4 M114', "Error:No Checksum with line number, Last Line: 3\nResend: 4\nok\n"],
            ['G1 E5 F120 ; push a little', "echo: cold extrusion prevented\nok\n"],
            ['M9999', "echo:Unknown command: \"M9999\"\nok\n"],
            ['hello', "echo:Unknown command: \"hello\"\nok\n"],
            ['M114', "X:0.00 Y:0.00 Z:0.00 E:5.00 Count X:0 Y:0 Z:0\nok\n"],
            ['M23 cube.gco', "open failed, File: cube.gco.\nok\n"],
            ['M27', "Not SD printing\nok\n"],
        ] as [$in, $out]) {
            $printer->receive("{$in}\n");
            $printer->advance($printer->now() + 0.1);
            self::assertSame($out, $printer->take(), $in);
        }
    }

    public function test_bytes_may_come_in_any_pieces(): void
    {
        $printer = $this->printer();
        $printer->take();
        foreach (str_split("M105\r\nM1", 1) as $byte) {
            $printer->receive($byte);
        }
        $printer->receive("14\n");
        $printer->advance(0.2);

        self::assertMatchesRegularExpression('/^ok T:2\d\.\d\d \/0\.00 B:2\d\.\d\d \/0\.00 @:0 B@:0\nX:0\.00 /', $printer->take());
    }

    public function test_it_heats_holds_and_reports_each_second(): void
    {
        $printer = $this->printer();
        $printer->receive("M155 S1\nM104 S210\n");
        $printer->advance(300);
        preg_match_all('/^T:([\d.]+) /m', $printer->take(), $found);
        $readings = array_map(floatval(...), $found[1]);

        self::assertEqualsWithDelta(300, count($readings), 2);
        self::assertLessThan(214, max($readings), 'a few degrees over at the most');
        foreach (array_slice($readings, -100) as $reading) {
            self::assertEqualsWithDelta(210, $reading, 1.0);
        }
    }

    public function test_waiting_commands_say_busy_and_let_the_emergency_through(): void
    {
        $printer = $this->printer();
        $printer->receive("M109 S210\nM114\n");
        $printer->advance(20);
        $said = $printer->take();
        self::assertGreaterThanOrEqual(8, substr_count($said, 'echo:busy: processing'));
        self::assertStringNotContainsString('X:', $said, 'M114 waits behind it');

        $printer->receive("M112\n");
        $printer->advance(20.2);
        self::assertTrue($printer->halted);
        self::assertStringContainsString('Error:Printer halted', $printer->take());
        $printer->receive("M105\n");
        $printer->advance(20.4);
        self::assertStringContainsString('Error:Printer halted', $printer->take(), 'until it is restarted');
        $printer->receive("M999\n");
        $printer->advance(20.6);
        $printer->receive("M105\n");
        $printer->advance(20.8);
        self::assertStringContainsString("start\nok\nok T:", $printer->take());
    }

    public function test_homing_takes_its_time_and_ends_at_the_switches(): void
    {
        $printer = $this->printer();
        $printer->receive("M119\n");
        $printer->advance(0.2);
        self::assertStringContainsString("x_min: open\n", $printer->take());
        $printer->receive("G28\nM119\n");
        $printer->advance(3);
        self::assertStringNotContainsString('Reporting', $printer->take());
        $printer->advance(40);
        self::assertStringContainsString("x_min: TRIGGERED\ny_min: TRIGGERED\nz_min: TRIGGERED\n", $printer->take());
        $printer->receive("G1 X10 F3000\nM400\nM119\nM114\n");
        $printer->advance(45);
        self::assertStringContainsString("x_min: open\n", $said = $printer->take());
        self::assertStringContainsString('X:10.00', $said);
    }

    public function test_a_file_is_sent_to_its_card_and_printed_from_there(): void
    {
        $printer = $this->printer();
        $printer->receive(
            "M28 ring.gco\nG28\nM109 S205\nG1 X50 Y50 Z0.2 F6000\nG1 X80 E4 F1200\nG1 Y80 E8\nM104 S0\nM29\nM23 ring.gco\nM155 S5\nM24\n",
        );
        $printer->advance(1);
        $said = $printer->take();
        self::assertStringContainsString("Writing to file: ring.gco\n", $said);
        self::assertStringContainsString("Done saving file.\n", $said);
        self::assertStringContainsString('File opened: ring.gco Size: ', $said);
        $printer->advance(30);
        $printer->receive("M27\n");
        $printer->advance(260);
        $said = $printer->take();
        self::assertMatchesRegularExpression('/SD printing byte \d+\/\d+/', $said);
        self::assertStringContainsString('Done printing file', $said);
        self::assertSame('straight', $printer->seen()->strand);
        self::assertEqualsWithDelta(1.0, $printer->seen()->fedShare, 1e-9);
    }

    public function test_cool_air_makes_it_stop_by_itself(): void
    {
        foreach (['hotend' => ['M104 S200', 250], 'bed' => ['M140 S60', 400]] as $where => [$heat, $settled]) {
            $printer = $this->printer();
            $printer->receive("{$heat}\n");
            $printer->advance($settled);
            $printer->coolAir(true, $where);
            $printer->advance($settled + 180);
            self::assertTrue($printer->halted, $where);
            self::assertStringContainsString('Thermal Runaway', $printer->take());
        }
    }

    /** @return iterable<string, array{Fault, callable(Printer): bool}> */
    public static function faults(): iterable
    {
        $say = static fn (Printer $p, string $in, float $for): string => (static function () use ($p, $in, $for): string {
            $p->take();
            $p->receive("{$in}\n");
            $p->advance($p->now() + $for);

            return $p->take();
        })();
        yield 'open sensor' => [Fault::ThermistorOpen, static fn (Printer $p): bool => str_contains($say($p, 'M105', 1), 'T:-15.00')];
        yield 'shorted sensor' => [Fault::ThermistorShort, static fn (Printer $p): bool => str_contains($say($p, 'M105', 1), 'MAXTEMP')];
        yield 'sensor off its curve' => [
            Fault::ThermistorDrifting,
            static fn (Printer $p): bool => preg_match('/T:3[5-7]\.\d+ .*B:2[12]\./', $say($p, 'M105', 1)) === 1,
        ];
        yield 'sensor loose at a place' => [Fault::ThermistorLoose, static function (Printer $p) use ($say): bool {
            $said = $say($p, "G28\nM104 S200\nM155 S1", 200).$say($p, 'G1 X170 F6000', 30);
            preg_match_all('/T:([\d.-]+) /', $said, $found);
            $last = array_map(floatval(...), array_slice($found[1], -20));

            return max($last) - min($last) > 10;
        }];
        yield 'weak heater' => [
            Fault::HeaterWeak,
            static fn (Printer $p): bool => preg_match('/T:1\d\d\./', $say($p, 'M104 S210', 240).$say($p, 'M105', 1)) === 1,
        ];
        yield 'open heater' => [
            Fault::HeaterOpen,
            static fn (Printer $p): bool => str_contains($say($p, 'M104 S210', 60), 'Heating failed'),
        ];
        yield 'resistance in the bed plug' => [Fault::BedContact, static function (Printer $p) use ($say): bool {
            preg_match_all('/B:([\d.]+) /', $say($p, "M140 S60\nM155 S1", 180), $found);

            return (float) $found[1][137] < 55.0;
        }];
        yield 'dead heat-break fan' => [Fault::BreakFanDead, static function (Printer $p) use ($say): bool {
            $say($p, "M104 S210\nM83", 900);
            $say($p, 'G1 E20 F120', 20);

            return $p->seen()->strand === 'nothing-comes-out' && ! $p->seen()->breakFanTurns;
        }];
        yield 'part clog' => [Fault::PartClog, static function (Printer $p) use ($say): bool {
            $say($p, "M104 S210\nM83", 200);
            $say($p, 'G1 E50 F180', 30);

            return $p->seen()->strand === 'curls' && $p->seen()->fedShare < 0.5;
        }];
        yield 'blocked carriage' => [
            Fault::CarriageBlocked,
            static fn (Printer $p): bool => str_contains($say($p, 'G28', 30), 'Homing Failed X'),
        ];
        yield 'slack belt' => [Fault::BeltSlack, static function (Printer $p) use ($say): bool {
            $say($p, "G28\nM204 P3000", 40);
            $say($p, "G1 X200 F12000\nG1 X20\nG1 X200\nG1 X20\nM400", 30);
            $said = $say($p, "G1 X0.5 F3000\nM400\nM119", 10);

            return abs($p->seen()->body['X'] - 0.5) > 0.2 || str_contains($said, 'x_min: TRIGGERED');
        }];
        yield 'no runaway protection' => [Fault::NoRunawayProtection, static function (Printer $p) use ($say): bool {
            $say($p, 'M104 S200', 250);
            $p->coolAir(true);

            return ! str_contains($say($p, 'M105', 300), 'Runaway') && ! $p->halted;
        }];
        yield 'broken bed wire' => [
            Fault::BedWireBroken,
            static fn (Printer $p): bool => str_contains(
                $say($p, "G28\nM140 S60", 300).$say($p, 'G1 Y150 F3000', 20),
                'MINTEMP triggered, Heater_ID: bed',
            ),
        ];
        yield 'sagging supply' => [
            Fault::SupplySags,
            static fn (Printer $p): bool => str_contains($say($p, "M104 S210\nM140 S60", 60), 'start'),
        ];
    }

    /** @param  callable(Printer): bool  $shows */
    #[DataProvider('faults')]
    public function test_a_fault_shows_and_a_sound_machine_does_not_show_it(Fault $fault, callable $shows): void
    {
        self::assertTrue($shows($this->printer([$fault])), 'the fault shows');
        self::assertFalse($shows($this->printer()), 'a sound machine does not');
    }

    public function test_a_jammed_slot_says_so(): void
    {
        $numbers = Numbers::of('Heron CX', ['feeder' => 'multi', 'motion' => 'corexy']);
        foreach ([[[Fault::SlotJammed], 'Error:Filament stuck in slot 2'], [[], 'echo:Active Extruder: 2']] as [$faults, $words]) {
            $printer = new Printer($numbers, $faults);
            $printer->receive("T2\n");
            $printer->advance(1);
            self::assertStringContainsString($words, $printer->take());
        }
        $single = $this->printer();
        $single->receive("T2\n");
        $single->advance(1);
        self::assertStringContainsString('Invalid extruder', $single->take());
    }

    public function test_the_same_seed_says_the_same(): void
    {
        $say = function (int $seed): string {
            $printer = new Printer(Numbers::of('Tern 220', []), [], $seed);
            $printer->receive("M155 S1\nM104 S200\nG28\n");
            $printer->advance(60);

            return $printer->take();
        };
        self::assertSame($say(7), $say(7));
        self::assertNotSame($say(7), $say(8));
    }

    /** @param  list<Fault>  $faults */
    private function printer(array $faults = []): Printer
    {
        return new Printer(Numbers::of('Tern 220', ['motion' => 'bedslinger', 'bed_supply' => '24 V']), $faults, 5);
    }

    private function sum(string $line): int
    {
        return array_reduce(str_split($line), static fn (int $xor, string $byte): int => $xor ^ ord($byte), 0);
    }
}
