<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Instruments\HeatSample;
use OddBench\Proof\Prints\Bed;
use OddBench\Proof\Run\LineReader;
use OddBench\Proof\Run\Plan;
use OddBench\Proof\Run\Run;
use OddBench\Proof\Run\Sample;
use OddBench\Proof\Run\Sender;
use OddBench\Proof\Run\Session;
use OddBench\Rig\Fault;
use OddBench\Rig\Numbers;
use OddBench\Rig\Printer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The runner against the simulated printer: every hidden fault is caught by its stage, a sound machine passes. */
final class RunTest extends TestCase
{
    private const BED_RISE_S = 139.0;

    private const USUAL = [
        'identify',
        'smoke',
        'homing',
        'travel',
        'hotend-hold',
        'bed-hold',
        'runaway-hotend',
        'runaway-bed',
        'heat-moving',
        'free-air',
        'print',
    ];

    public function test_a_sound_machine_passes_every_stage(): void
    {
        $run = new Run($this->plan());
        self::assertSame('passed', (new Bystander($run, $this->printer([])))->watch(), $run->said);
        self::assertSame(self::USUAL, array_keys($run->results));
        self::assertStringContainsString('Bed to 60 °C in 1', $run->results['bed-hold']['words']);
        self::assertStringContainsString('RepRap-style 1.2', $run->results['identify']['words']);
    }

    /** @return iterable<string, array{Fault, string, string|null}> fault, stage that catches it, finding */
    public static function faults(): iterable
    {
        yield 'open sensor' => [Fault::ThermistorOpen, 'identify', 'reads-impossible'];
        yield 'sensor off its curve' => [Fault::ThermistorDrifting, 'identify', 'thermistor-off-curve'];
        yield 'sensor loose at a place' => [Fault::ThermistorLoose, 'heat-moving', 'reads-jumpy'];
        yield 'weak heater' => [Fault::HeaterWeak, 'hotend-hold', null];
        yield 'open heater' => [Fault::HeaterOpen, 'hotend-hold', 'error-heating'];
        yield 'resistance in the bed plug' => [Fault::BedContact, 'bed-hold', 'bed-slow'];
        yield 'dead heat-break fan' => [Fault::BreakFanDead, 'smoke', 'break-fan-dead'];
        yield 'part clog' => [Fault::PartClog, 'free-air', 'strand-curls'];
        yield 'blocked carriage' => [Fault::CarriageBlocked, 'homing', 'error-homing'];
        yield 'slack belt' => [Fault::BeltSlack, 'travel', 'layers-shifted'];
        yield 'no runaway protection' => [Fault::NoRunawayProtection, 'runaway-hotend', 'no-runaway-trip'];
        yield 'broken bed wire' => [Fault::BedWireBroken, 'heat-moving', 'bed-drops-moving'];
        yield 'sagging supply' => [Fault::SupplySags, 'bed-hold', 'restarts-itself'];
    }

    #[DataProvider('faults')]
    public function test_a_hidden_fault_is_caught_by_its_stage(Fault $fault, string $stage, ?string $finding): void
    {
        $run = new Run($this->plan());
        $state = (new Bystander($run, $this->printer([$fault])))->watch();
        $last = array_key_last($run->results);

        self::assertSame('failed', $state, $run->said);
        self::assertSame($stage, $last, $run->said);
        self::assertFalse($run->results[$stage]['passed']);
        self::assertNotSame('', $run->results[$stage]['words']);
        if ($finding !== null) {
            self::assertSame($finding, $run->results[$stage]['finding'], $run->results[$stage]['words']);
        }
        self::assertSame($fault === Fault::NoRunawayProtection, $run->results[$stage]['danger']);
    }

    public function test_a_shorted_sensor_stops_the_printer_before_anything_is_heated(): void
    {
        $run = new Run($this->plan());
        self::assertSame('failed', (new Bystander($run, $this->printer([Fault::ThermistorShort])))->watch());
        self::assertSame('identify', array_key_last($run->results));
    }

    public function test_a_jammed_slot_is_named(): void
    {
        $numbers = Numbers::of('Heron CX', ['feeder' => 'multi', 'motion' => 'corexy']);
        $plan = new Plan(['identify', 'slots'], new Bed(...$numbers->sizeMm), slots: 4);
        $sound = new Run($plan);
        self::assertSame('passed', (new Bystander($sound, new Printer($numbers)))->watch(), $sound->said);
        $jammed = new Run($plan);
        self::assertSame('failed', (new Bystander($jammed, new Printer($numbers, [Fault::SlotJammed])))->watch());
        self::assertStringContainsString('stuck in slot 2', $jammed->results['slots']['words']);
    }

    public function test_heaters_are_off_however_it_ends(): void
    {
        foreach ([null, 'stop', 'lost'] as $how) {
            $run = new Run($this->plan(['identify', 'hotend-hold']));
            $side = new Bystander($run, $printer = $this->printer([]));
            $side->watch(until: static fn (float $t): bool => $how !== null && $t > 80);
            if ($how === 'stop') {
                $side->session->stop($side->now());
            } elseif ($how === 'lost') {
                $side->session->lost($side->now(), 'The cable was pulled.');
                self::assertNotNull($side->session->alarm($side->now()), 'nobody knows whether it is off');
                $side->session->connected($side->now());
            }
            $side->exchange();
            $printer->receive("M105\n");
            $printer->advance($side->now() + 1);
            self::assertMatchesRegularExpression('/T:[\d.]+ \/0\.00/', $printer->take(), $how ?? 'passed');
            self::assertSame(['stop' => 'stopped', 'lost' => 'lost', '' => 'passed'][$how ?? ''], $run->state);
        }
    }

    public function test_stop_is_heard_while_the_printer_homes(): void
    {
        $run = new Run($this->plan(['homing']));
        $side = new Bystander($run, $printer = $this->printer([]));
        $side->watch(until: static fn (float $t): bool => $t > 2.0);
        $side->session->stop($side->now());
        $side->exchange();

        self::assertTrue($printer->halted, 'M112 went through');
        self::assertSame('stopped', $run->state);
    }

    public function test_nothing_that_blocks_is_ever_sent(): void
    {
        $run = new Run($this->plan());
        $side = new Bystander($run, $this->printer([]));
        $side->watch();
        self::assertStringContainsString('M29', $side->sent, 'the file was written');
        self::assertDoesNotMatchRegularExpression('/\b(M109|M190|M191|M400)\b/', $side->sent);
    }

    public function test_only_what_is_owed_and_what_every_machine_owes(): void
    {
        self::assertSame(['identify', 'smoke', 'homing', 'hotend-hold', 'runaway-hotend'], Plan::stages([]));
        self::assertSame(
            ['identify', 'smoke', 'homing', 'hotend-hold', 'runaway-hotend', 'heat-moving', 'print'],
            Plan::stages(['print', 'heat-moving']),
        );
    }

    public function test_silence_noise_and_resends(): void
    {
        $silent = new Session(new Run($this->plan(['identify'])));
        $silent->connected(0.0);
        $silent->tick(10.0);
        self::assertTrue($silent->run->runs());
        $silent->tick(31.0);
        self::assertSame('lost', $silent->run->state);
        self::assertStringContainsString('M104 S0', $silent->take());

        $stormy = new Session(new Run($this->plan(['identify'])));
        $stormy->connected(0.0);
        for ($i = 1; $i < 40; $i++) {
            $stormy->bytes($i / 10, "Error:checksum mismatch, Last Line: 0\nResend: 0\n");
        }
        self::assertSame('lost', $stormy->run->state);
        self::assertStringContainsString('too noisy', $stormy->run->said);
    }

    /** @return iterable<string, array{float, string}> s the wire takes, state it ends in */
    public static function late(): iterable
    {
        yield 'answers two seconds late' => [2.0, 'passed'];
        yield 'answers forty seconds late' => [40.0, 'lost'];
    }

    #[DataProvider('late')]
    public function test_answers_that_come_late(float $delay, string $state): void
    {
        $run = new Run($this->plan(['identify', 'homing']));
        $printer = $this->printer([]);
        $link = new Session($run);
        $link->connected(0.0);
        /** @var list<array{float, string}> $wire */
        $wire = [];
        for ($t = 0.5; $t < 300 && $run->runs(); $t += 0.5) {
            $printer->receive($link->take());
            $printer->advance($t);
            $wire[] = [$t + $delay, $printer->take()];
            while ($wire !== [] && $wire[0][0] <= $t) {
                $link->bytes($t, array_shift($wire)[1]);
            }
            $link->tick($t);
        }

        self::assertSame($state, $run->state, $run->said);
        self::assertStringContainsString('M104 S0', $link->take());
    }

    public function test_a_line_that_never_ends_is_silence(): void
    {
        $run = new Run($this->plan(['identify']));
        $link = new Session($run);
        $link->connected(0.0);
        for ($t = 1.0; $t < 60 && $run->runs(); $t++) {
            $link->bytes($t, str_repeat('T:20', 50));
            $link->tick($t);
        }

        self::assertSame('lost', $run->state);
        self::assertStringContainsString('has said nothing', $run->said);
    }

    public function test_garbage_between_the_lines_is_passed_over(): void
    {
        $random = new Randomizer(new Mt19937(21));
        $run = new Run($this->plan(['identify', 'homing']));
        $printer = $this->printer([]);
        $link = new Session($run);
        $link->connected(0.0);
        for ($t = 0.5; $t < 300 && $run->runs(); $t += 0.5) {
            $printer->receive($link->take());
            $printer->advance($t);
            $link->bytes($t, $random->getBytes($random->getInt(1, 40))."\n".$printer->take());
            $link->tick($t);
        }

        self::assertSame('passed', $run->state, $run->said);
        self::assertTrue(mb_check_encoding($run->said, 'UTF-8'), 'it can be kept and shown');
    }

    public function test_a_line_that_was_garbled_on_the_way_is_sent_again(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $run = new Run($this->plan(['identify', 'homing'], 10.0));
        $printer = $this->printer([]);
        $link = new Session($run);
        $link->connected(0.0);
        for ($t = 0.5; $t < 400 && $run->runs(); $t += 0.5) {
            $out = $link->take();
            if ($out !== '' && $random->getInt(0, 3) === 0) {
                $at = $random->getInt(0, strlen($out) - 2);
                $out[$at] = chr(ord($out[$at]) ^ 1) === "\n" ? $out[$at] : chr(ord($out[$at]) ^ 1);
            }
            $printer->receive($out);
            $printer->advance($t);
            $link->bytes($t, $printer->take());
            $link->tick($t);
        }
        self::assertSame('passed', $run->state, $run->said);
    }

    public function test_a_million_lines_of_noise_neither_crash_nor_grow(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $reader = new LineReader;
        $run = new Run($this->plan(['identify']));
        $link = new Session($run);
        $link->connected(0.0);
        $pool = $random->getBytes(65_536);
        $lines = 0;
        $before = memory_get_usage();
        for ($i = 0; $lines < 1_000_000; $i++) {
            $piece = substr(
                $pool,
                $random->getInt(0, 60_000),
                4096,
            )."\nT:20.1 /0 B:20 /0\nok\nResend: x\nError\n:".str_repeat('x', $random->getInt(0, 3000));
            $lines += count($reader->take($piece)) * ($i < 20_000 ? 1 : 50);
            if ($i % 50 === 0) {
                $link->bytes($i / 100, $piece);
                $link->tick($i / 100);
            }
        }
        self::assertLessThan(24 * 1024 * 1024, memory_get_usage() - $before);
        self::assertNotNull($run->log->last());
    }

    public function test_lines_that_never_end_are_forgotten_and_the_next_one_is_read(): void
    {
        $reader = new LineReader;
        self::assertSame([], $reader->take(str_repeat('a', 5000)));
        self::assertSame([], $reader->take(str_repeat('b', 300)));
        self::assertSame(['ok'], $reader->take("\nok\n"));
        self::assertSame(['T:20'], $reader->take("T\x00:\xFF20\r\n"));
    }

    public function test_reports_as_firmwares_write_them(): void
    {
        $both = Sample::read('ok T:210.1 /210.0 B:60.0 /60.0 @:64 B@:127', 3.0);
        self::assertSame(
            [3.0, 210.1, 210.0, 60.0, 60.0],
            [$both?->t, $both?->hotend, $both?->hotendTarget, $both?->bed, $both?->bedTarget],
        );
        self::assertEqualsWithDelta(64 / 127, $both?->hotendPower, 1e-12);
        self::assertSame(1.0, $both?->bedPower);
        $one = Sample::read('T:-15.00 /0.00', 0.0);
        self::assertSame([-15.0, 0.0, null], [$one?->hotend, $one?->bed, $one?->hotendPower]);
        self::assertNull(Sample::read('echo:busy: processing', 0.0));
    }

    public function test_two_reports_in_one_breath_do_not_spoil_the_log(): void
    {
        $log = new \OddBench\Proof\Run\Log;
        foreach ([10.0, 11.0, 11.004, 12.0] as $t) {
            $log->add(new Sample($t, 200.0, 200.0, 60.0, 60.0));
        }

        self::assertSame(
            [[0.0, 200.0, 200.0, null], [1.0, 200.0, 200.0, null], [2.0, 200.0, 200.0, null]],
            array_map(static fn (HeatSample $s): array => [$s->at, $s->actual, $s->target, $s->power], $log->samples('hotend', 0.0)),
        );
    }

    public function test_the_sender_refuses_what_blocks_and_sums_by_hand(): void
    {
        $sender = new Sender;
        // N1 G28: 78^49^32^71^50^56 = 18 by hand
        self::assertSame('N1 G28*18'."\n", $sender->send('G28'));
        $this->expectException(\LogicException::class);
        $sender->send('M109 S200');
    }

    /** @return iterable<string, array{string, array<string, string>, bool, bool}> */
    public static function kinds(): iterable
    {
        yield 'delta, round, counted from its middle' => ['Gannet Delta', ['motion' => 'delta', 'levelling' => 'probe'], true, true];
        yield 'Z found by a probe' => ['Tern 220 D', ['motion' => 'bedslinger', 'levelling' => 'probe'], false, true];
    }

    /** @param  array<string, string>  $traits */
    #[DataProvider('kinds')]
    public function test_machines_of_other_kinds_pass_and_are_never_sent_out_of_reach(
        string $family,
        array $traits,
        bool $round,
        bool $probed,
    ): void {
        $numbers = Numbers::of($family, $traits);
        $run = new Run(new Plan(
            ['identify', 'homing', 'travel', 'heat-moving', 'free-air', 'first-layer', 'print'],
            new Bed($numbers->sizeMm[0], $numbers->sizeMm[1], $numbers->sizeMm[2], $round),
            probed: $probed,
        ));

        self::assertSame('passed', (new Bystander($run, new Printer($numbers)))->watch(), "{$run->stage}: {$run->said}");
    }

    public function test_every_slot_prints_and_a_jam_in_the_print_is_named(): void
    {
        $numbers = Numbers::of('Heron CX', ['feeder' => 'multi', 'motion' => 'corexy']);
        $plan = new Plan(['identify', 'homing', 'slot-prints', 'materials'], new Bed(...$numbers->sizeMm), slots: 4);
        $sound = new Run($plan);
        self::assertSame('passed', (new Bystander($sound, new Printer($numbers)))->watch(), $sound->said);
        $jammed = new Run($plan);
        self::assertSame('failed', (new Bystander($jammed, new Printer($numbers, [Fault::SlotJammed])))->watch());
        self::assertSame(['slot-prints', 'slot-alarm'], [array_key_last($jammed->results), $jammed->results['slot-prints']['finding']]);
        self::assertStringContainsString('stuck in slot 2', $jammed->results['slot-prints']['words']);
    }

    public function test_a_long_print_takes_its_three_hours_and_finds_what_comes_late(): void
    {
        $plan = new Plan(['identify', 'homing', 'long']);
        $sound = new Run($plan);
        self::assertSame('passed', (new Bystander($sound, $this->printer([])))->watch(), $sound->said);
        self::assertGreaterThan(3 * 3600, $sound->log->now);
        self::assertLessThan(4 * 3600, $sound->log->now);
        // a dead fan lets heat climb: the first rings look well, later ones do not
        $creeps = new Run($plan);
        self::assertSame('failed', (new Bystander($creeps, $this->printer([Fault::BreakFanDead])))->watch());
        self::assertSame('fails-after-hours', $creeps->results['long']['finding']);
    }

    public function test_stop_in_a_print_stops_the_print(): void
    {
        $run = new Run(new Plan(['identify', 'homing', 'print']));
        $side = new Bystander($run, $printer = $this->printer([]));
        $side->watch(until: fn (float $t): bool => str_contains((string) $run->want?->text, 'M27'));
        $side->session->stop($side->now());
        $side->exchange();
        $printer->take();
        $printer->receive("M27\n");
        $printer->advance($side->now() + 2);

        self::assertStringContainsString('Not SD printing', $printer->take());
    }

    /** @param  list<string>|null  $stages */
    private function plan(?array $stages = null, float $hold = 120.0): Plan
    {
        return new Plan($stages ?? self::USUAL, bedRiseS: self::BED_RISE_S, holdS: $hold);
    }

    /** @param  list<Fault>  $faults */
    private function printer(array $faults, int $seed = 5): Printer
    {
        return new Printer(Numbers::of('Tern 220', ['motion' => 'bedslinger', 'bed_supply' => '24 V']), $faults, $seed);
    }
}
