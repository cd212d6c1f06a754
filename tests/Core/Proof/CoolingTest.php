<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Proof\Prints\Bed;
use OddBench\Proof\Run\Cooling;
use OddBench\Proof\Run\CoolingHeater;
use OddBench\Proof\Run\Danger;
use OddBench\Proof\Run\Limits;
use OddBench\Proof\Run\Plan;
use OddBench\Proof\Run\Run;
use OddBench\Proof\Run\Sample;
use OddBench\Proof\Run\Session;
use OddBench\Rig\Fault;
use OddBench\Rig\GoesOn;
use OddBench\Rig\Numbers;
use OddBench\Rig\Printer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TradeKnowledge;

/** Off is what is seen cooling: a target of 0 says nothing of a switch that is welded, leaks, or is turned on again. */
final class CoolingTest extends TestCase
{
    /** @return iterable<string, array{GoesOn, string, float, string}> */
    public static function switches(): iterable
    {
        yield 'stays' => [GoesOn::Stays, 'hotend-hold', 95.0, 'The hot end is switched off and does not cool: pull the plug.'];
        yield 'creeps' => [GoesOn::Creeps, 'hotend-hold', 40.0, 'The hot end is switched off and does not cool: pull the plug.'];
        yield 'the bed stays' => [GoesOn::BedStays, 'bed-hold', 250.0, 'The bed is switched off and does not cool: pull the plug.'];
        yield 'is turned on again' => [GoesOn::Returns, 'hotend-hold', 40.0, 'Something turns its heaters on again: pull the plug.'];
    }

    #[DataProvider('switches')]
    public function test_after_stop_a_heater_that_goes_on_is_an_alarm_until_somebody_pulls_the_plug(
        GoesOn $how,
        string $stage,
        float $within,
        string $words,
    ): void {
        $side = $this->hot($stage, $how);
        $session = $side->session;
        $session->stop($stopped = $side->now());
        $this->goOn($side, $within + 10, fn (): bool => $session->plug() !== null);
        self::assertSame($words, $session->alarm($side->now()));
        self::assertLessThan($within, $side->now() - $stopped);
        self::assertTrue($session->hot());

        $this->goOn($side, 600);
        self::assertSame($words, $session->alarm($side->now()), 'it stays said');
        self::assertTrue($session->wantsLink($side->now()));
        $session->lost($side->now(), 'The printer closed the connection.');
        self::assertSame($words, $session->alarm($side->now()));
        $session->unplugged($side->now());
        self::assertNull($session->alarm($side->now()));
        self::assertFalse($session->wantsLink($side->now()));
    }

    public function test_half_a_leak_is_off_at_first_and_an_alarm_where_it_stops_falling(): void
    {
        $side = $this->hot('hotend-hold', GoesOn::Leaks);
        $session = $side->session;
        $session->stop($side->now());
        $this->goOn($side, 90, static fn (): bool => ! $session->hot());
        self::assertFalse($session->hot(), 'it falls');
        self::assertTrue($session->wantsLink($side->now()), 'and is followed');
        $this->goOn($side, 900, static fn (): bool => $session->plug() !== null);
        self::assertMatchesRegularExpression(
            '/^The hot end is switched off and cools no further than \d+ °C: pull the plug\.$/',
            (string) $session->alarm($side->now()));
        self::assertTrue($session->hot());
        self::assertSame('heats-unasked', $session->plug()?->finding);
    }

    public function test_a_sound_one_is_followed_until_it_is_harmless_and_then_let_go(): void
    {
        $side = $this->hot('bed-hold', null);
        $session = $side->session;
        $session->stop($side->now());
        $this->goOn($side, 1800, function () use ($session, $side): bool {
            self::assertNull($session->alarm($side->now()));

            return ! $session->wantsLink($side->now());
        });
        self::assertFalse($session->wantsLink($side->now()));
        self::assertLessThan(60.0, $session->last()?->bed);
    }

    public function test_a_pass_with_a_switch_that_does_not_open_is_none(): void
    {
        $run = new Run(new Plan(['identify', 'hotend-hold'], holdS: 30.0));
        $side = new Bystander($run, $this->printer(GoesOn::Stays));
        self::assertSame('passed', $side->watch());
        $this->goOn($side, 120, static fn (): bool => $run->state !== 'passed');
        self::assertSame('failed', $run->state);
        $last = $run->results[(string) array_key_last($run->results)];
        self::assertSame([false, true, 'heats-unasked'], [$last['passed'], $last['danger'], $last['finding']]);
    }

    /** @return iterable<string, array{string}> */
    public static function families(): iterable
    {
        foreach (array_keys(TradeKnowledge::read()->families) as $code) {
            yield $code => [$code];
        }
    }

    #[DataProvider('families')]
    public function test_sound_machines_are_seen_to_cool_in_time_and_alarm_nobody(string $code): void
    {
        $family = TradeKnowledge::read()->families[$code];
        $numbers = Numbers::of($family->name, $family->traits, sizeMm: [$family->build->x, $family->build->y, $family->build->z]);
        foreach (['hotend-hold' => CoolingHeater::WITHIN_S['hotend'], 'bed-hold' => CoolingHeater::WITHIN_S['bed']] as $stage => $within) {
            foreach ([5.0, 20.0, 90.0, 240.0] as $after) {
                $plan = new Plan(
                    [$stage],
                    Bed::of($family->build),
                    limits: new Limits($family->heat->hotendMostC, $family->heat->bedMostC),
                );
                $side = new Bystander(new Run($plan), new Printer($numbers));
                $side->watch(until: static fn (): bool => $side->session->hot());
                $this->goOn($side, $after);
                $side->session->stop($stopped = $side->now());
                $this->goOn($side, $within, function () use ($side): bool {
                    self::assertNull($side->session->alarm($side->now()));

                    return ! $side->session->hot();
                });
                self::assertFalse($side->session->hot(), "{$stage}, {$after} s");
                self::assertLessThan($within, $side->now() - $stopped);
                self::assertTrue($side->session->confirmedOff());
            }
        }
    }

    public function test_a_leak_is_seen_from_a_cold_start_as_well(): void
    {
        $cooling = new Cooling(['hotend']);
        for ($t = 0; $t < 200 && $cooling->plug() === null; $t++) {
            $cooling->read($this->sample($t, 24.0 + 0.4 * $t));
            self::assertFalse($cooling->seen(), 'under 50 °C, and it climbs');
        }
        self::assertLessThan(95, $t);
        self::assertSame(['heats-unasked', 'hotend'], [$cooling->plug()?->finding, $cooling->plug()?->stuck]);
    }

    public function test_what_never_got_warm_is_off_when_it_rises_no_more(): void
    {
        $cooling = new Cooling(['hotend']);
        for ($t = 0; $t < 60 && ! $cooling->seen(); $t++) {
            // what is left in the heater still arrives
            $cooling->read($this->sample($t, 30.0 + 8.0 * (1 - exp(-$t / 4))));
        }
        self::assertGreaterThan(30, $t);
        self::assertLessThan(50, $t);
    }

    public function test_a_sensor_that_is_gone_is_not_cold(): void
    {
        foreach ([-15.0, 0.0, 500.0] as $reads) {
            $cooling = new Cooling(['hotend']);
            for ($t = 0; $t < 120 && $cooling->plug() === null; $t++) {
                $cooling->read($this->sample($t, $t < 3 ? 200.0 : $reads));
                self::assertFalse($cooling->seen());
            }
            self::assertStringContainsString('its sensor does not say', (string) $cooling->plug()?->because);
            self::assertNull($cooling->plug()?->finding, 'that it heats nobody has seen');
        }
    }

    public function test_one_garbled_number_neither_cools_nor_alarms(): void
    {
        $cooling = new Cooling(['hotend']);
        for ($t = 0; $t < 80; $t++) {
            $cooling->read($this->sample($t, $t === 10 ? 20.0 : ($t === 20 ? 380.0 : 200.0)));
            self::assertFalse($cooling->seen(), "{$t} s");
        }
        self::assertNull($cooling->plug());
        $sound = new Cooling(['hotend']);
        for ($t = 0; $t < 4; $t++) {
            $sound->read($this->sample($t, 200.0 - $t));
        }
        $sound->read($this->sample(100, 200.0));
        self::assertNull($sound->plug(), 'late, and one reading');
        $sound->read($this->sample(101, 60.0));
        $sound->read($this->sample(102, 59.0));
        self::assertTrue($sound->seen());
    }

    public function test_each_heater_that_was_on_is_looked_at(): void
    {
        $cooling = new Cooling(['hotend', 'bed']);
        for ($t = 0; $t < 300 && $cooling->plug() === null; $t++) {
            $cooling->read($this->sample($t, max(22.0, 200.0 - 2 * $t), 60.0));
            self::assertFalse($cooling->seen());
        }
        self::assertSame('bed', $cooling->plug()?->stuck);
        self::assertGreaterThan(CoolingHeater::WITHIN_S['bed'], $t);
    }

    public function test_who_takes_over_waits_until_it_has_cooled_and_knows_what_was_seen(): void
    {
        $side = $this->hot('hotend-hold', null);
        $second = new Run(new Plan(['hotend-hold']));
        $link = new Session($second, leftHot: true);
        $anew = new Bystander($second, $side->printer, began: $side->now() + 1, session: $link);
        $link->connected($anew->now());
        $this->goOn($anew, 3.0, static fn (): bool => $link->confirmedOff());
        self::assertTrue($link->confirmedOff());
        self::assertSame('waiting', $second->state, 'told, and not yet seen to cool');
        $this->goOn($anew, 90.0, static fn (): bool => $second->want !== null);
        self::assertSame('running', $second->state);

        $words = 'The hot end is switched off and does not cool: pull the plug.';
        $third = new Session(new Run(new Plan(['hotend-hold'])), leftHot: true, plug: new Danger($words, 'heats-unasked'));
        $third->connected(0.0);
        for ($t = 1.0; $t < 200; $t++) {
            $third->bytes($t, sprintf("T:%.1f /0.0 B:22.0 /0.0\n", max(30.0, 200 - $t)));
            $third->tick($t);
        }
        self::assertSame($words, $third->alarm($t));
        self::assertSame('waiting', $third->run->state);
    }

    public function test_a_target_nobody_asked_for_before_a_run_is_told_off_and_seen_to_cool(): void
    {
        $run = new Run(new Plan(['identify', 'hotend-hold']));
        $link = new Session($run);
        $link->connected(0.0);
        $told = '';
        for ($t = 1.0; $t < 6; $t++) {
            $link->bytes($t, "T:120.0 /180.0 B:22.0 /0.0\nok\n");
            $link->tick($t);
            $told .= $link->take();
        }
        self::assertSame('failed', $run->state);
        self::assertStringContainsString('M104 S0', $told);
        self::assertTrue($link->hot(), 'it may be on, whoever turned it on');
        self::assertSame('Heaters may be on: pull the plug.', $link->alarm($t));
        for (; $t < 20; $t++) {
            $link->bytes($t, sprintf("T:%.1f /0.0 B:22.0 /0.0\n", 130 - $t));
            $link->tick($t);
        }
        self::assertFalse($link->hot());
        self::assertNull($link->alarm($t));
    }

    public function test_a_printer_that_says_nothing_more_while_it_should_cool_is_not_off(): void
    {
        $side = $this->hot('hotend-hold', null);
        $side->session->stop($side->now());
        $this->goOn($side, 2.0);
        self::assertTrue($side->session->confirmedOff());
        self::assertNull($side->session->alarm($side->now()));
        $side->session->tick($side->now() + 60);
        self::assertSame('Heaters may be on: pull the plug.', $side->session->alarm($side->now() + 60));
    }

    /** A machine of that family whose heater is at its temperature. */
    private function hot(string $stage, ?GoesOn $how): Bystander
    {
        $run = new Run(new Plan([$stage]));
        $side = new Bystander($run, $this->printer($how));
        $side->watch(until: static fn (): bool => $stage === 'bed-hold'
            ? ($run->log->last()->bed ?? 0.0) > 58.0
            : ($run->log->last()->hotend ?? 0.0) > 190.0);

        return $side;
    }

    /** @param  (callable(): bool)|null  $until */
    private function goOn(Bystander $side, float $seconds, ?callable $until = null): void
    {
        for ($end = $side->now() + $seconds; $side->now() < $end && ! ($until !== null && $until());) {
            $side->exchange();
        }
    }

    private function sample(float $t, float $hotend, float $bed = 22.0): Sample
    {
        return new Sample($t, $hotend, 0.0, $bed, 0.0);
    }

    /** @param  list<Fault>  $faults */
    private function printer(?GoesOn $how, array $faults = []): Printer
    {
        return new Printer(Numbers::of('Tern 220', ['motion' => 'bedslinger', 'bed_supply' => '24 V']), $faults, 5, $how);
    }
}
