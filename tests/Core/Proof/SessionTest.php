<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Proof\Run\Limits;
use OddBench\Proof\Run\Plan;
use OddBench\Proof\Run\Run;
use OddBench\Proof\Run\Sample;
use OddBench\Proof\Run\Session;
use OddBench\Rig\Fault;
use OddBench\Rig\Numbers;
use OddBench\Rig\Printer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** One rule for heat: off first, whatever ends a run, until the printer itself has said so. */
final class SessionTest extends TestCase
{
    /** The hot end is told to heat to 200 °C, and the run waits. */
    private function heating(float $bedC = 22.0): Session
    {
        $link = new Session(new Run(new Plan(['hotend-hold'])));
        $link->connected(0.0);
        $asked = '';
        for ($t = 1; $t <= 12 && ! str_contains($asked, 'M104 S200'); $t++) {
            $asked .= $this->says($link, (float) $t, 22.0, 0.0, $bedC);
        }
        self::assertStringContainsString('M104 S200', $asked);
        self::assertTrue($link->hot());

        return $link;
    }

    /** A second with a report and an “ok”; what the printer is told. */
    private function says(Session $link, float $t, float $hotend, float $target, float $bed = 22.0, float $bedTarget = 0.0): string
    {
        $link->bytes($t, sprintf("T:%.2f /%.2f B:%.2f /%.2f @:0 B@:0\nok\n", $hotend, $target, $bed, $bedTarget));
        $link->tick($t);

        return $link->take();
    }

    public function test_too_hot_is_off_at_the_second_reading(): void
    {
        $link = $this->heating();
        self::assertStringNotContainsString('M104 S0', $this->says($link, 20.0, 224.0, 200.0));
        self::assertStringNotContainsString('M104 S0', $this->says($link, 21.0, 226.0, 200.0), 'one reading may be garbled');
        self::assertStringContainsString("M104 S0\nM140 S0\n", $this->says($link, 22.0, 226.0, 200.0));
        self::assertSame('failed', $link->run->state);
        self::assertSame('hotend-overshoots', $link->run->results['hotend-hold']['finding']);
        self::assertTrue($link->run->results['hotend-hold']['danger']);

        // a target of 0 is not enough: it has to be seen cooling
        $this->says($link, 23.0, 226.0, 0.0);
        $this->says($link, 24.0, 226.0, 0.0);
        self::assertNotNull($link->alarm(24.0));
        $this->says($link, 25.0, 221.5, 0.0);
        $this->says($link, 26.0, 221.2, 0.0);
        self::assertNotNull($link->alarm(26.0));
        $this->says($link, 27.0, 220.9, 0.0);
        self::assertNotNull($link->alarm(27.0), 'one reading may be garbled');
        $this->says($link, 28.0, 220.0, 0.0);
        self::assertNull($link->alarm(28.0));
        self::assertFalse($link->hot());
    }

    public function test_no_hotter_than_the_family_stands_whatever_is_asked(): void
    {
        $link = new Session(new Run(new Plan(['hotend-hold'], hotendC: 250.0)), new Limits(260.0, 110.0));
        $link->connected(0.0);
        for ($t = 1; $t < 14; $t++) {
            $this->says($link, (float) $t, 22.0, 0.0);
        }
        $this->says($link, 20.0, 259.0, 250.0);
        $this->says($link, 21.0, 259.0, 250.0);
        self::assertTrue($link->run->runs());
        $this->says($link, 22.0, 261.0, 250.0);
        $this->says($link, 23.0, 261.0, 250.0);
        self::assertSame('failed', $link->run->state);
    }

    public function test_heat_that_nobody_asked_for_needs_the_plug(): void
    {
        $link = new Session(new Run(new Plan(['smoke'])));
        $link->connected(0.0);
        $this->says($link, 1.0, 22.0, 0.0);
        $this->says($link, 2.0, 30.0, 0.0);
        self::assertTrue($link->run->runs());
        $this->says($link, 3.0, 38.0, 0.0);
        $told = $this->says($link, 4.0, 46.0, 0.0);
        self::assertStringContainsString('M104 S0', $told);
        self::assertSame('heats-unasked', $link->run->results['smoke']['finding']);
        self::assertStringContainsString('pull the plug', (string) $link->alarm(4.0));
        $this->says($link, 5.0, 54.0, 0.0);
        self::assertNotNull($link->alarm(5.0), 'its target is 0 and it goes on heating');
        $link->unplugged(60.0);
        self::assertNull($link->alarm(60.0));
        self::assertFalse($link->wantsLink(60.0));
    }

    public function test_a_heater_that_goes_on_after_it_was_off_is_seen(): void
    {
        $link = $this->heating();
        $this->says($link, 20.0, 150.0, 200.0);
        $link->stop(21.0);
        $this->says($link, 21.5, 152.0, 0.0);
        self::assertTrue($link->confirmedOff());
        self::assertTrue($link->hot(), 'a target of 0 is said, not seen');
        for ($t = 22; $t < 60 && $link->plug() === null; $t++) {
            $this->says($link, (float) $t, 152.0 + 3 * ($t - 21), 0.0);
        }
        self::assertLessThan(55, $t);
        self::assertSame('It heats with nothing asked: pull the plug.', $link->alarm((float) $t));
    }

    public function test_a_target_of_somebody_elses_is_not_ours_to_hold(): void
    {
        $link = $this->heating();
        $this->says($link, 20.0, 200.0, 240.0);
        $told = $this->says($link, 21.0, 202.0, 240.0);
        self::assertStringContainsString('M104 S0', $told);
        self::assertStringContainsString('nobody here asked', $link->run->said);
    }

    /** @return iterable<string, array{float}> */
    public static function gone(): iterable
    {
        yield 'open' => [-15.0];
        yield 'short' => [520.0];
    }

    #[DataProvider('gone')]
    public function test_a_sensor_that_goes_while_it_heats_is_off_within_two_seconds(float $reads): void
    {
        $link = $this->heating();
        $this->says($link, 20.0, 180.0, 200.0);
        $this->says($link, 21.0, $reads, 200.0);
        self::assertTrue($link->run->runs());
        self::assertStringContainsString('M104 S0', $this->says($link, 22.0, $reads, 200.0));
        self::assertSame('reads-impossible', $link->run->results['hotend-hold']['finding']);
    }

    public function test_a_printer_that_says_nothing_is_asked_of_it_and_heats_is_named(): void
    {
        $link = $this->heating();
        $told = '';
        for ($t = 13.0; $t < 120 && $link->run->runs(); $t++) {
            $told = $this->says($link, $t, 22.0 + ($t - 12), 0.0);
        }
        self::assertSame('failed', $link->run->state);
        self::assertLessThan(62.0, $t);
        self::assertStringContainsString('is not so', $link->run->said);
        self::assertStringContainsString('M104 S0', $told);
        self::assertNotNull($link->alarm($t), 'what it says of being off is not believed either');

        // one that holds what it has, or is slow to say it, is not
        $slow = $this->heating();
        for ($t = 13.0; $t < 40; $t++) {
            $this->says($slow, $t, 22.0 + ($t - 12), 0.0);
        }
        self::assertTrue($slow->run->runs());
    }

    public function test_one_garbled_reading_cuts_nothing(): void
    {
        $link = $this->heating();
        for ($t = 20; $t < 60; $t++) {
            $this->says($link, (float) $t, $t % 15 === 0 ? 2.0 : 200.0, 200.0);
        }
        self::assertTrue($link->run->runs());
    }

    public function test_heat_that_nobody_sees_is_off(): void
    {
        $link = $this->heating();
        $this->says($link, 20.0, 150.0, 200.0);
        $asked = '';
        for ($t = 20.5; $t < 50 && $link->run->runs(); $t += 0.5) {
            // it lives, and says nothing of its temperature
            $link->bytes($t, "echo:all well\n");
            $link->tick($t);
            $asked .= $link->take();
        }
        self::assertStringContainsString("M105\n", $asked, 'it is asked for');
        self::assertSame('failed', $link->run->state);
        self::assertLessThan(42.0, $t);
        self::assertStringContainsString('no temperature', $link->run->said);
        self::assertStringContainsString('M104 S0', $asked);
    }

    public function test_a_question_nobody_answers_while_it_is_hot_ends_the_run(): void
    {
        $run = new Run(new Plan(['identify', 'runaway-hotend']));
        $side = new Bystander($run, $printer = $this->printer());
        $side->watch(until: static fn (): bool => $run->state === 'asking' && str_contains((string) $run->want?->text, 'air on'));
        for ($i = 0; $i < 700 && $run->runs(); $i++) {
            $side->exchange();
        }
        self::assertSame('stopped', $run->state);
        self::assertStringContainsString('Nobody answered', $run->said);
        $side->exchange();
        self::assertTrue($side->session->confirmedOff());
        $this->isOff($printer, $side->now());

        // a cold one waits: somebody may come back from lunch
        $cold = new Run(new Plan(['smoke']));
        $beside = new Bystander($cold, $this->printer());
        $beside->watch(until: static fn (): bool => $cold->state === 'asking');
        for ($i = 0; $i < 7200; $i++) {
            $beside->exchange();
        }
        self::assertSame('asking', $cold->state);
    }

    public function test_a_printer_that_falls_silent_while_it_asks_is_lost(): void
    {
        $link = new Session(new Run(new Plan(['smoke'])));
        $link->connected(0.0);
        for ($t = 1; $t < 8; $t++) {
            $this->says($link, (float) $t, 22.0, 0.0);
        }
        self::assertSame('asking', $link->run->state);
        $link->tick(45.0);
        self::assertSame('lost', $link->run->state);
    }

    public function test_off_is_told_again_and_again_until_the_printer_says_so(): void
    {
        $link = $this->heating();
        $this->says($link, 20.0, 150.0, 200.0);
        $link->lost(21.0, 'The printer closed the connection.');
        self::assertSame('lost', $link->run->state);
        self::assertSame('Heaters may be on: pull the plug.', $link->alarm(21.0));
        self::assertTrue($link->wantsLink(21.0));
        self::assertSame('', $link->take());

        $link->connected(40.0);
        self::assertStringContainsString("M104 S0\nM140 S0\nM105\n", $link->take());
        self::assertTrue($link->hot(), 'told is not done');
        $told = '';
        for ($t = 41.0; $t < 50; $t++) {
            $link->bytes($t, "T:150.0 /200.0 B:22.0 /0.0\n");
            $link->tick($t);
            $told .= $link->take();
        }
        self::assertSame(9, substr_count($told, 'M104 S0'));
        self::assertSame(1, substr_count($told, 'M112'), 'one that does not obey is stopped as in an emergency');
        self::assertNotNull($link->alarm(50.0));
        $link->bytes(51.0, "T:150.0 /0.0 B:22.0 /0.0\n");
        self::assertNull($link->alarm(51.0));
        self::assertTrue($link->confirmedOff());
    }

    public function test_a_halted_printer_is_started_anew_so_that_it_can_confirm(): void
    {
        $run = new Run(new Plan(['homing']));
        $side = new Bystander($run, $printer = $this->printer());
        $side->watch(until: static fn (float $t): bool => $t > 2.0);
        $side->session->stop($side->now());
        for ($i = 0; $i < 4 && ! $side->session->confirmedOff(); $i++) {
            $side->exchange();
        }
        self::assertStringContainsString('M112', $side->sent);
        self::assertTrue($side->session->confirmedOff());
        $this->isOff($printer, $side->now());
    }

    public function test_stop_while_a_file_is_written_is_not_written_into_the_file(): void
    {
        $run = new Run(new Plan(['identify', 'homing', 'print']));
        $side = new Bystander($run, $printer = $this->printer());
        $side->watch(until: static fn (): bool => preg_match('/^G1 X/', (string) $run->want?->text) === 1);
        $side->session->stop($side->now());
        $side->exchange();
        $side->exchange();
        self::assertTrue($side->session->confirmedOff());
        $this->isOff($printer, $side->now());
    }

    public function test_what_was_left_hot_is_off_before_anything_else_and_then_it_goes_on(): void
    {
        $printer = $this->printer();
        $first = new Run(new Plan(['identify', 'homing', 'hotend-hold', 'bed-hold']));
        $side = new Bystander($first, $printer);
        $side->watch(until: static fn (float $t): bool => $first->stage === 'bed-hold' && $t > 420);
        self::assertTrue($side->session->hot());

        // the process is gone; a new one finds what it left
        $second = new Run(new Plan(['bed-hold', 'identify']));
        $link = new Session($second, leftHot: true);
        $anew = new Bystander($second, $printer, began: $side->now() + 60, session: $link);
        self::assertSame('Heaters may be on: pull the plug.', $link->alarm($side->now() + 60));
        $link->connected($side->now() + 60);
        self::assertStringStartsWith("M29\nM108\nM25\nM104 S0\nM140 S0\n", $link->take());
        self::assertSame('waiting', $second->state);
        $link->connected($side->now() + 61);
        $waited = false;
        $anew->watch(until: static function () use ($second, &$waited): bool {
            return $waited = str_contains($second->said, 'waits until that has cooled');
        });
        self::assertTrue($waited, 'somebody who looks on is told why nothing happens');
        self::assertSame('passed', $anew->watch(), $second->said);
        self::assertStringContainsString('once it had cooled', $second->results['identify']['words']);
        self::assertGreaterThan(120.0, $second->results['bed-hold']['rise'], 'it was timed from a cold bed');
    }

    public function test_a_sensor_off_its_curve_is_not_taken_for_a_warm_machine(): void
    {
        $run = new Run(new Plan(['identify']));
        self::assertSame('failed', (new Bystander($run, $this->printer([Fault::ThermistorDrifting])))->watch());
        self::assertSame('thermistor-off-curve', $run->results['identify']['finding']);
        self::assertLessThan(200.0, $run->log->now);
    }

    public function test_numbers_without_end_are_none(): void
    {
        self::assertNull(Sample::read('T:'.str_repeat('9', 400).' /0 B:20 /0', 0.0));
        $run = new Run(new Plan(['identify']));
        $link = new Session($run);
        $link->connected(0.0);
        for ($t = 1; $t < 20; $t++) {
            $link->bytes((float) $t, 'T:'.str_repeat('9', 400)." /0 B:20 /0\nok\n");
            $link->tick((float) $t);
        }
        self::assertSame('failed', $run->state);
        self::assertStringContainsString('reports no temperatures', $run->said);
    }

    public function test_busy_without_end_ends(): void
    {
        $run = new Run(new Plan(['homing']));
        $link = new Session($run);
        $link->connected(0.0);
        for ($t = 1.0; $t < 2000 && $run->runs(); $t += 2) {
            $link->bytes($t, $run->stage === 'homing' ? "T:20 /0 B:20 /0\necho:busy: processing\n" : "T:20 /0 B:20 /0\nok\n");
            $link->tick($t);
        }
        self::assertSame('failed', $run->state);
        self::assertStringContainsString('busy', $run->said);
        self::assertLessThan(700.0, $t);
    }

    public function test_a_million_lines_of_a_printer_gone_mad_go_through_one_run(): void
    {
        $random = new Randomizer(new Mt19937(17));
        $run = new Run(new Plan([
            'identify',
            'smoke',
            'homing',
            'travel',
            'hotend-hold',
            'bed-hold',
            'runaway-hotend',
            'heat-moving',
            'free-air',
            'print',
        ]));
        $side = new Bystander($run, $this->printer());
        $noise = [
            "echo:busy: processing\n",
            "x_min: open\n",
            "wait\n",
            "T:nan /inf\n",
            "T:\n",
            'T:'.str_repeat('7', 400)." /0\n",
            str_repeat('z', 900)."\n",
            "\x00\xff\xfe\n",
            "echo:all well\n",
            "Resend: x\n",
            "//action:notification\n",
            "o\n",
            "k\n",
        ];
        $lines = 0;
        $side->noise = static function () use ($random, $noise, &$lines): string {
            $lines += 500;

            return implode(
                '',
                array_map(
                    static fn (int $i): string => $noise[$i],
                    array_map(static fn () => $random->getInt(0, count($noise) - 1), range(1, 500)),
                ),
            );
        };
        memory_reset_peak_usage();
        $before = memory_get_usage();
        self::assertSame('passed', $side->watch(), $run->said);
        self::assertGreaterThan(1_000_000, $lines);
        self::assertLessThan(40 * 1024 * 1024, memory_get_peak_usage() - $before);
    }

    public function test_lines_without_an_ok_fill_no_memory(): void
    {
        $run = new Run(new Plan(['homing']));
        $link = new Session($run);
        $link->connected(0.0);
        $this->says($link, 1.0, 20, 0);
        $this->says($link, 2.0, 20, 0);
        $this->says($link, 3.0, 20, 0);
        self::assertSame('homing', $run->stage);
        $before = memory_get_usage();
        for ($t = 4.0; $t < 80; $t += 0.1) {
            $link->bytes($t, str_repeat("echo:still here\n", 500));
            $link->tick($t);
        }
        self::assertLessThan(2 * 1024 * 1024, memory_get_usage() - $before);
    }

    private function isOff(Printer $printer, float $now): void
    {
        $printer->take();
        $printer->receive("M105\n");
        $printer->advance($now + 2);
        $said = $printer->take();
        self::assertMatchesRegularExpression('/T:[\d.]+ \/0\.00 B:[\d.]+ \/0\.00/', $said);
    }

    /** @param  list<Fault>  $faults */
    private function printer(array $faults = []): Printer
    {
        return new Printer(Numbers::of('Tern 220', ['motion' => 'bedslinger', 'bed_supply' => '24 V']), $faults, 5);
    }
}
