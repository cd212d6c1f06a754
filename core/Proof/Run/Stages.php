<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use Generator;
use OddBench\Instruments\RunawayTest;
use OddBench\Instruments\ThermalLog;
use OddBench\Proof\Prints\ProofPrint;
use OddBench\Proof\ProvedByLog;

/** What each stage of a run does and how it is judged (common practice); heat by the instruments thermal-log and runaway-test. */
final readonly class Stages
{
    private const ROOM = [5.0, 45.0];

    /** Two sensors of a cold machine differ by less. */
    private const APART = 8.0;

    /** So long it may stay warm from before. */
    private const COOLS_S = 3600.0;

    /** °C that what is warm loses in a minute, at the least; a sensor off its curve loses nothing. */
    private const COOLS_C = 0.4;

    /** The bed is cold enough for its warming up to be timed. */
    private const COLD_BED_C = 35.0;

    private const COLD_HOTEND_C = 60.0;

    /** The room a rise is told for. */
    private const ROOM_C = 22.0;

    /** A well heater is no slower than this against its own figure, and against its family’s (common practice). */
    private const SLOWER_OWN = 1.2;

    private const SLOWER_FAMILY = 1.35;

    private const HOTEND_RISE_S = 240.0;

    private const BED_RISE_S = 900.0;

    /** °C a heater may stray from its target while it holds. */
    public const SWING_C = 3.0;

    private const JUMP_C = 5.0;

    private const LATE_S = 2.5;

    private const STANDS_S = 20.0;

    /** Asks the firmware to switch off by itself when nothing happens for so long; one that does not know it says so. */
    public const GUARD = 'M86 S1800';

    private MotionStages $motion;

    public function __construct(private Plan $plan, private Log $log)
    {
        $this->motion = new MotionStages($plan, $log);
    }

    /** @return Generator<int, Want, mixed, Shown> ends with what was shown */
    public function run(string $stage): Generator
    {
        return match ($stage) {
            'identify' => $this->identify(),
            'smoke' => $this->smoke(),
            'homing' => $this->motion->homing(),
            'travel' => $this->motion->travel(),
            'hotend-hold' => $this->hold('hotend'),
            'bed-hold' => $this->hold('bed'),
            'runaway-hotend' => $this->runaway('hotend'),
            'runaway-bed' => $this->runaway('bed'),
            'heat-moving' => $this->heatMoving(),
            'free-air' => $this->freeAir(),
            'first-layer' => $this->prints(ProofPrint::FirstLayer, 'Look at the layer: do the lines touch everywhere, and is nothing scraped?', 'first-layer-uneven'),
            'print' => $this->prints(ProofPrint::Ring, 'Look at the print: walls closed, no step, no gap?', 'gaps-in-fill'),
            'slots' => $this->slots(),
            'slot-prints' => $this->prints(ProofPrint::SlotRings, 'Look at the rings: one from each slot, walls closed?', 'slot-spins-nothing'),
            'materials' => $this->prints(ProofPrint::Materials, 'Look at the print: every band in its material, none missing?', 'slot-alarm'),
            default => $this->prints(ProofPrint::Long, 'Look at the long print: the same from bottom to top?', 'fails-after-hours'),
        };
    }

    /** @return Generator<int, Want, mixed, Shown> */
    private function identify(): Generator
    {
        $said = implode(' ', Want::lines(yield Want::ok('M115')));
        yield Want::ok('M104 S0');
        yield Want::ok('M140 S0');
        $guards = ! str_contains(implode(' ', Want::lines(yield Want::ok(self::GUARD))), 'Unknown command');
        yield Want::time(6.0);
        $now = $this->sample('The printer reports no temperatures. Its firmware must know M155.');
        $warm = $now->hotend > self::ROOM[1] || $now->bed > self::ROOM[1] || abs($now->hotend - $now->bed) > self::APART;
        if ($warm) {
            yield from $this->cools(static fn (Sample $s): bool => max($s->hotend, $s->bed) <= self::ROOM[1] && abs($s->hotend - $s->bed) <= self::APART);
            $now = $this->now();
        }
        foreach (['hot end' => [$now->hotend, 'reads-impossible'], 'bed' => [$now->bed, 'bed-reads-wrong']] as $name => [$c, $finding]) {
            if ($c < self::ROOM[0] || $c > self::ROOM[1]) {
                throw StageFailed::because(sprintf('The %s shows %.1f °C with nothing heated, and does not cool; a room has %.0f to %.0f.', $name, $c, ...self::ROOM), $finding);
            }
        }
        if (abs($now->hotend - $now->bed) > self::APART) {
            throw StageFailed::because(sprintf('Cold, the hot end shows %.1f °C and the bed %.1f: %.1f apart, and %.0f are allowed. One of them is off its curve.', $now->hotend, $now->bed, abs($now->hotend - $now->bed), self::APART), 'thermistor-off-curve');
        }
        $name = preg_match('/FIRMWARE_NAME:\s*(.+?)\s+(?:SOURCE|PROTOCOL)/', $said, $found) === 1 ? $found[1] : 'unnamed firmware';

        return new Shown(sprintf('%s; %.1f and %.1f °C, like the room%s. %s', $name, $now->hotend, $now->bed, $warm ? ' once it had cooled' : '', $guards
            ? 'It turns its heaters off by itself after half an hour with nothing to do.'
            : 'It does not turn its heaters off by itself when the computer falls silent: stay near it.'));
    }

    /**
     * Waits while what is still warm from before cools; ends when it is cold enough, or when it does not fall any more.
     *
     * @param  callable(Sample): bool  $cold
     * @return Generator<int, Want, mixed, void>
     */
    private function cools(callable $cold): Generator
    {
        $now = $this->now();
        for ($from = $this->log->now; ! $cold($now) && $this->log->now - $from < self::COOLS_S;) {
            $before = $now;
            for ($until = $this->log->now + 60.0; ! $cold($now) && $this->log->now < $until; $now = $this->now()) {
                yield Want::time(5.0);
            }
            if (max($before->hotend - $now->hotend, $before->bed - $now->bed) < self::COOLS_C) {
                return;
            }
        }
    }

    private function now(): Sample
    {
        return $this->sample('The printer reports no temperatures any more.');
    }

    /** @return Generator<int, Want, mixed, Shown> */
    private function smoke(): Generator
    {
        if ((yield Want::person('Covers off, hand at the switch, one minute: smoke, smell or a spark?', ['none', 'there is'])) !== 'none') {
            throw StageFailed::because('Smoke, smell or a spark at power on. Unplug it.', 'burn-smell', true);
        }
        if ((yield Want::person('Does every fan turn that should?', ['all turn', 'one stands'])) !== 'all turn') {
            throw StageFailed::because('A fan stands still.', 'break-fan-dead');
        }

        return new Shown('No smoke; the fans turn.');
    }

    /**
     * @param  'hotend'|'bed'  $what
     * @return Generator<int, Want, mixed, Shown>
     */
    private function hold(string $what): Generator
    {
        $hot = $what === 'hotend';
        $target = $hot ? $this->plan->hotendC : $this->plan->bedC;
        $name = $hot ? 'Hot end' : 'Bed';
        yield Want::ok(($hot ? 'M104' : 'M140').' S0');
        yield from $this->cools(static fn (Sample $s): bool => $hot ? $s->hotend <= self::COLD_HOTEND_C : $s->bed <= self::COLD_BED_C);
        $began = $this->log->now;
        $from = $this->temperature($what);
        try {
            yield Want::ok(($hot ? 'M104 S' : 'M140 S').$target);
            $limit = $hot ? self::HOTEND_RISE_S : self::BED_RISE_S;
            while (abs($this->temperature($what) - $target) > 1.0) {
                if ($this->log->now - $began > $limit) {
                    throw StageFailed::because(sprintf('%s stood at %.0f °C after %.0f s; %.0f were asked.', $name, $this->temperature($what), $limit, $target), $hot ? 'hotend-slow' : 'bed-slow');
                }
                yield Want::time(1.0);
            }
            $rise = $this->log->now - $began;
            yield Want::time(60.0 + $this->plan->holdS);
        } catch (Halted $e) {
            throw StageFailed::because("{$name} from {$this->said($from)} to {$this->said($target)} °C: the printer stopped. {$e->said}.", $e->restarted ? 'restarts-itself' : (preg_match('/TEMP/', $e->said) === 1 ? 'error-thermistor' : 'error-heating'));
        }
        $judged = (new ThermalLog)->compute(['csv' => $this->log->csv($what, $began)]);
        $held = array_map(static fn (Sample $s): float => abs(($hot ? $s->hotend : $s->bed) - $target), $this->log->since($this->log->now - $this->plan->holdS));
        $swing = $held === [] ? INF : max($held);
        if ($swing > self::SWING_C) {
            throw StageFailed::because(sprintf('%s swung by %.1f °C; %.0f are allowed.', $name, $swing, self::SWING_C), $hot ? 'hotend-drops' : 'bed-reads-wrong');
        }
        $this->refuseSlow($what, $rise = $rise * ($target - self::ROOM_C) / max(5.0, $target - $from));

        return new Shown(sprintf('%s to %.0f °C in %.0f s, %s over, within %.1f °C afterwards.', $name, $target, $rise, $this->said(is_float($judged['overshoot_c']) ? $judged['overshoot_c'] : 0.0).' °C', $swing), round($swing, 2), round($rise, 1));
    }

    /**
     * Against what this heater took when it was well, or else against what is usual in its family.
     *
     * @param  'hotend'|'bed'  $what
     * @param  float  $rise  s, as from a room of 22 °C
     */
    private function refuseSlow(string $what, float $rise): void
    {
        $own = $what === 'bed' ? $this->plan->bedRiseS : null;
        $usual = $own ?? ($what === 'bed' ? $this->plan->familyBedRiseS : $this->plan->familyHotendRiseS);
        if ($usual === null || $rise <= $usual * ($own !== null ? self::SLOWER_OWN : self::SLOWER_FAMILY)) {
            return;
        }
        throw StageFailed::because(sprintf('The %s took %.0f s; %s %.0f, so %.0f %% longer. %s', $what === 'bed' ? 'bed' : 'hot end', $rise, $own !== null ? 'well it took' : 'usual in its family are', $usual, 100 * ($rise / $usual - 1), 'Power off: feel for a warm plug, then measure the heater.'), $what === 'bed' ? 'bed-slow' : 'hotend-slow');
    }

    /**
     * @param  'hotend'|'bed'  $what
     * @return Generator<int, Want, mixed, Shown>
     */
    private function runaway(string $what): Generator
    {
        $hot = $what === 'hotend';
        $target = $hot ? $this->plan->hotendC : $this->plan->bedC;
        [$period, $hysteresis] = ProvedByLog::RUNAWAY[$what];
        yield Want::ok(($hot ? 'M104 S' : 'M140 S').$target);
        $from = $near = $this->log->now;
        // it holds for a while first, so that the log shows what it fell from
        while ($this->log->now - $near < self::STANDS_S) {
            if ($this->log->now - $from > self::BED_RISE_S) {
                throw StageFailed::because('It does not stand at its temperature, so it cannot be tested.', $hot ? 'hotend-slow' : 'bed-slow');
            }
            yield Want::time(1.0);
            $near = abs($this->temperature($what) - $target) > 1.5 ? $this->log->now : $near;
        }
        $cooling = $this->log->now;
        $stopped = null;
        try {
            // it may stop before anybody has said that the air is on
            yield Want::person($hot ? 'Sock off. Hold cool air to the block, and keep it there. Is the air on?' : 'Cool the plate with air or a wet cloth at its edge, and keep on. Does the air flow?', ['it is on']);
            $cooling = $this->log->now;
            while ($this->log->now - $cooling < 2.2 * $period + 40) {
                yield Want::time(1.0);
            }
        } catch (Halted $e) {
            $stopped = $e->said;
        }
        if ($stopped !== null) {
            yield Want::time(3.0);
        }
        $csv = $this->log->csv($what, $from);
        $first = $this->log->since($from)[0]->t ?? $from;
        $judged = (new RunawayTest)->compute(['csv' => $csv, 'cooling_began_s' => round($cooling - $first, 2), 'period_s' => $period, 'hysteresis_c' => $hysteresis]);
        yield Want::person('Take the cool air away.', ['it is away']);
        $because = is_string($judged['because'] ?? null) ? $judged['because'] : '';
        if (($judged['verdict'] ?? null) === 'inconclusive' || (! $judged['tripped'] && ($judged['verdict'] ?? '') !== 'danger')) {
            throw StageFailed::because($because, null);
        }
        if (! $judged['tripped']) {
            throw StageFailed::because($because, 'no-runaway-trip', true);
        }

        return new Shown($because, is_float($judged['tripped_after_s'] ?? null) ? round($judged['tripped_after_s'], 1) : null);
    }

    /** @return Generator<int, Want, mixed, Shown> */
    private function heatMoving(): Generator
    {
        $y = 0.0;
        try {
            // homing keeps a printer from hearing anything else, so it comes before the heat
            yield Want::ok('M104 S0');
            yield Want::ok('M140 S0');
            yield Want::ok('G28', 120.0);
            [$x, $y] = $this->plan->bed->at(0, 0);
            yield Want::ok(sprintf('G1 X%.1f Y%.1f Z10 F3000', $x, $y), 120.0);
            yield from $this->heatBoth();
            $from = $this->log->now;
            // slow, in short moves, so that each stretch of the loom is bent for seconds
            foreach ([[-1, 1], [1, -1]] as [$a, $b]) {
                for ($i = 0; $i <= 20; $i++) {
                    $share = $a + ($b - $a) * $i / 20;
                    [$x, $y] = $this->plan->bed->at($share, $share);
                    yield Want::ok(sprintf('G1 X%.1f Y%.1f F1500', $x, $y), 60.0);
                    yield Want::time(2.0);
                }
            }
        } catch (Halted $e) {
            throw StageFailed::because(sprintf('Heating while it moved, near Y %.0f mm, the printer stopped: %s.', $y, $e->said), $e->restarted ? 'restarts-itself' : (str_contains($e->said, 'bed') ? 'bed-drops-moving' : 'reads-jumpy'));
        }
        $this->refuseJumps($from);

        return new Shown('Both heaters held while every axis went end to end.');
    }

    private function refuseJumps(float $from): void
    {
        $before = null;
        foreach ($this->log->since($from) as $sample) {
            foreach (['hotend' => 'reads-jumpy', 'bed' => 'bed-drops-moving'] as $what => $finding) {
                // reports that came late, and what cools when the print is done, are no jumps
                $told = $before !== null && $sample->t - $before->t < self::LATE_S && ($what === 'bed' ? $sample->bedTarget : $sample->hotendTarget) > 0;
                $jump = ! $told ? 0.0 : abs(($what === 'bed' ? $sample->bed - $before->bed : $sample->hotend - $before->hotend));
                if ($jump > self::JUMP_C) {
                    throw StageFailed::because(sprintf('The %s jumped by %.0f °C within a second while it moved; %.0f are allowed.', $what === 'bed' ? 'bed' : 'hot end', $jump, self::JUMP_C), $finding);
                }
            }
            $before = $sample;
        }
    }

    /** @return Generator<int, Want, mixed, Shown> */
    private function freeAir(): Generator
    {
        yield Want::ok("M104 S{$this->plan->hotendC}");
        $from = $this->log->now;
        while (abs($this->temperature('hotend') - $this->plan->hotendC) > 2) {
            if ($this->log->now - $from > self::HOTEND_RISE_S) {
                throw StageFailed::because('The hot end does not reach its temperature.', 'hotend-slow');
            }
            yield Want::time(1.0);
        }
        yield Want::ok('M83');
        foreach (range(1, 5) as $_) {
            yield Want::ok('G1 E10 F180');
        }
        yield Want::time(18.0);
        $strand = yield Want::person('How does the strand come out in free air?', ['straight', 'curls', 'nothing comes out']);

        return match ($strand) {
            'straight' => new Shown('50 mm pushed in free air, straight.'),
            'curls' => throw StageFailed::because('In free air the strand curls up to the nozzle.', 'strand-curls'),
            default => throw StageFailed::because('Nothing comes out in free air.', 'nothing-comes-out'),
        };
    }

    /**
     * Prints from the printer's own storage, so that no computer feeds it, and asks how it looks.
     *
     * @return Generator<int, Want, mixed, Shown>
     */
    private function prints(ProofPrint $print, string $question, string $fails): Generator
    {
        yield from $this->store($print);
        $this->log->takeAlarm();
        $began = $this->log->now;
        $most = 2 * Plan::about($print === ProofPrint::Long ? 'long' : 'slot-prints');
        try {
            yield Want::ok('M24');
            do {
                yield Want::time(5.0);
                $state = implode(' ', Want::lines(yield Want::ok('M27', 300.0)));
                $alarm = $this->log->takeAlarm();
                if ($alarm !== null) {
                    throw StageFailed::because("In the print: {$alarm}.", 'slot-alarm');
                }
                if ($this->log->now - $began > $most) {
                    throw StageFailed::because(sprintf('It is not done after %.0f min.', $most / 60), 'stops-mid-print');
                }
            } while (! str_contains($state, 'Not SD printing'));
        } catch (Halted $e) {
            throw StageFailed::because(sprintf('The printer stopped after %.0f min of it: %s.', ($this->log->now - $began) / 60, $e->said), $e->restarted ? 'restarts-itself' : ($print === ProofPrint::Long ? 'fails-after-hours' : 'stops-mid-print'));
        }
        $this->refuseJumps($began);
        // somebody may come hours later: nothing stays hot until then
        yield Want::ok('M104 S0');
        yield Want::ok('M140 S0');
        if ((yield Want::person($question, ['good', 'not good'])) !== 'good') {
            throw StageFailed::because("{$print->words()}: not good.", $fails);
        }

        return new Shown(sprintf('%s, from its own storage, %.0f min.', $print->words(), ($this->log->now - $began) / 60));
    }

    /**
     * Warms up and writes the file to the printer's card.
     *
     * @return Generator<int, Want, mixed, void>
     */
    private function store(ProofPrint $print): Generator
    {
        yield from $this->heatBoth();
        yield Want::ok('M28 proof.gco');
        foreach ($print->lines($this->plan->bed, $this->plan->hotendC, $this->plan->bedC, $this->plan->slots, false) as $line) {
            yield Want::ok($line);
        }
        yield Want::ok('M29');
        $opened = implode(' ', Want::lines(yield Want::ok('M23 proof.gco')));
        if (! str_contains($opened, 'File selected')) {
            throw StageFailed::because('The printer does not keep the file on its card: '.$opened, 'card-unreadable');
        }
    }

    /** @return Generator<int, Want, mixed, Shown> */
    private function slots(): Generator
    {
        for ($slot = 0; $slot < $this->plan->slots; $slot++) {
            $said = implode(' ', Want::lines(yield Want::ok("T{$slot}", 90.0)));
            if (preg_match('/Error|Invalid/', $said) === 1) {
                throw StageFailed::because("Slot {$slot}: ".trim((string) preg_replace('/^.*?(Error:|echo:)/', '', $said)).'.', 'slot-alarm');
            }
        }
        yield Want::ok('T0', 90.0);

        return new Shown("{$this->plan->slots} slots loaded and unloaded.");
    }

    /** @return Generator<int, Want, mixed, void> */
    private function heatBoth(): Generator
    {
        $began = $this->log->now;
        yield Want::ok("M104 S{$this->plan->hotendC}");
        yield Want::ok("M140 S{$this->plan->bedC}");
        while (abs($this->temperature('hotend') - $this->plan->hotendC) > 2 || abs($this->temperature('bed') - $this->plan->bedC) > 2) {
            if ($this->log->now - $began > self::BED_RISE_S) {
                throw StageFailed::because('With both heaters on it does not reach its temperatures.', 'supply-sags');
            }
            yield Want::time(1.0);
        }
    }

    private function temperature(string $what): float
    {
        $now = $this->now();

        return $what === 'bed' ? $now->bed : $now->hotend;
    }

    private function sample(string $otherwise): Sample
    {
        return $this->log->last() ?? throw StageFailed::because($otherwise, null);
    }

    private function said(float $number): string
    {
        return (string) round($number, 1);
    }
}
