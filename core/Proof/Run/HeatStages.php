<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use Generator;
use OddBench\Instruments\HeatSample;
use OddBench\Instruments\HeatStep;
use OddBench\Instruments\RunawayTest;
use OddBench\Instruments\ThermalLog;
use OddBench\Proof\ProvedByLog;

/** The stages that heat and hold, and what stops a heater that nobody watches (common practice); judged by thermal-log and runaway-test. */
final readonly class HeatStages
{
    /** The bed is cold enough for its warming up to be timed. */
    private const COLD_BED_C = 35.0;

    private const COLD_HOTEND_C = 60.0;

    /** The room a rise is told for. */
    private const ROOM_C = 22.0;

    /** A well heater is no slower than this against its own figure, and against its family’s (common practice). */
    private const SLOWER_OWN = 1.2;

    private const SLOWER_FAMILY = 1.35;

    /** °C a heater may stray from its target while it holds. */
    public const SWING_C = HeatStep::SWING_C;

    private const STANDS_S = 20.0;

    private const LEAST_SAMPLES = 3;

    public function __construct(private Plan $plan, private Log $log, private Heat $heat)
    {
    }

    /**
     * @param  'hotend'|'bed'  $what
     * @return Generator<int, Want, mixed, Shown>
     */
    public function hold(string $what): Generator
    {
        $hot = $what === 'hotend';
        $target = $hot ? $this->plan->hotendC : $this->plan->bedC;
        $name = $hot ? 'Hot end' : 'Bed';
        yield Want::ok(($hot ? 'M104' : 'M140').' S0');
        yield from $this->heat->cools(
            static fn (Sample $s): bool => $hot ? $s->hotend <= self::COLD_HOTEND_C : $s->bed <= self::COLD_BED_C,
        );
        $began = $this->log->now;
        $from = $this->heat->temperature($what);
        try {
            yield Want::ok(($hot ? 'M104 S' : 'M140 S').$target);
            $limit = $hot ? Heat::HOTEND_RISE_S : Heat::BED_RISE_S;
            while (abs($this->heat->temperature($what) - $target) > 1.0) {
                if ($this->log->now - $began > $limit) {
                    throw StageFailed::because(
                        sprintf(
                            '%s stood at %.0f °C after %.0f s; %.0f were asked.',
                            $name,
                            $this->heat->temperature($what),
                            $limit,
                            $target,
                        ),
                        $hot ? 'hotend-slow' : 'bed-slow',
                    );
                }
                yield Want::time(1.0);
            }
            $rise = $this->log->now - $began;
            yield Want::time(60.0 + $this->plan->holdS);
        } catch (Halted $e) {
            throw StageFailed::because(
                "{$name} from {$this->said($from)} to {$this->said($target)} °C: the printer stopped. {$e->said}.",
                $e->restarted ? 'restarts-itself' : (preg_match('/TEMP/', $e->said) === 1 ? 'error-thermistor' : 'error-heating'),
            );
        }
        $this->refuseSlow($what, $rise = $rise * ($target - self::ROOM_C) / max(5.0, $target - $from));
        $judged = (new ThermalLog)->judge($this->measured($what, $began));
        $held = array_map(
            static fn (Sample $s): float => abs(($hot ? $s->hotend : $s->bed) - $target),
            $this->log->since($this->log->now - $this->plan->holdS),
        );
        $swing = $held === [] ? INF : max($held);
        if ($swing > self::SWING_C || $judged->verdict === 'out') {
            throw StageFailed::because(
                $swing > self::SWING_C ? sprintf(
                    '%s swung by %.1f °C; %.0f are allowed.',
                    $name,
                    $swing,
                    self::SWING_C,
                ) : "{$name}: {$judged->because}",
                $hot ? 'hotend-drops' : 'bed-reads-wrong',
            );
        }
        if ($judged->verdict === 'inconclusive') {
            throw StageFailed::because("{$name}: {$judged->because}", null);
        }

        return new Shown(
            sprintf(
                '%s to %.0f °C in %.0f s, %s over, within %.1f °C afterwards.',
                $name,
                $target,
                $rise,
                $this->said($judged->worst->figures()['overshoot_c'] ?? 0.0).' °C',
                $swing,
            ),
            round($swing, 2),
            round($rise, 1),
        );
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
        throw StageFailed::because(
            sprintf(
                'The %s took %.0f s; %s %.0f, so %.0f %% longer. %s',
                $what === 'bed' ? 'bed' : 'hot end',
                $rise,
                $own !== null ? 'well it took' : 'usual in its family are',
                $usual,
                100 * ($rise / $usual - 1),
                'Power off: feel for a warm plug, then measure the heater.',
            ),
            $what === 'bed' ? 'bed-slow' : 'hotend-slow',
        );
    }

    /**
     * @param  'hotend'|'bed'  $what
     * @return Generator<int, Want, mixed, Shown>
     */
    public function runaway(string $what): Generator
    {
        $hot = $what === 'hotend';
        $target = $hot ? $this->plan->hotendC : $this->plan->bedC;
        [$period, $hysteresis] = ProvedByLog::RUNAWAY[$what];
        yield Want::ok(($hot ? 'M104 S' : 'M140 S').$target);
        $from = $near = $this->log->now;
        // it holds for a while first, so that the log shows what it fell from
        while ($this->log->now - $near < self::STANDS_S) {
            if ($this->log->now - $from > Heat::BED_RISE_S) {
                throw StageFailed::because(
                    'It does not stand at its temperature, so it cannot be tested.',
                    $hot ? 'hotend-slow' : 'bed-slow',
                );
            }
            yield Want::time(1.0);
            $near = abs($this->heat->temperature($what) - $target) > 1.5 ? $this->log->now : $near;
        }
        $cooling = $this->log->now;
        $stopped = null;
        try {
            // it may stop before anybody has said that the air is on
            yield Want::person(
                $hot
                    ? 'Sock off. Hold cool air to the block, and keep it there. Is the air on?'
                    : 'Cool the plate with air or a wet cloth at its edge, and keep on. Does the air flow?',
                ['it is on'],
            );
            $cooling = $this->log->now;
            while ($this->log->now - $cooling < 2.2 * $period + 40) {
                yield Want::time(1.0);
            }
        } catch (Halted $e) {
            $stopped = [$this->log->now, $e];
        }
        if ($stopped !== null) {
            yield Want::time(3.0);
        }
        $log = $this->measured($what, $from);
        $first = $this->log->since($from)[0]->t ?? $from;
        if ($stopped !== null && $stopped[1]->restarted) {
            throw StageFailed::because(
                'The board started anew while its heater was cooled: that is no watch over the heater, it lost its supply.',
                'restarts-itself',
            );
        }
        $judged = (new RunawayTest)->judge(
            $log,
            round($cooling - $first, 2),
            $period,
            $hysteresis,
            $stopped === null ? null : round($stopped[0] - $first, 2),
            $stopped === null ? '' : $stopped[1]->said,
        );
        yield Want::person('Take the cool air away.', ['it is away']);
        if ($judged->verdict === 'inconclusive' || ($judged->tripped !== true && $judged->verdict !== 'danger')) {
            throw StageFailed::because($judged->because, null);
        }
        if ($judged->tripped !== true) {
            throw StageFailed::because($judged->because, 'no-runaway-trip', true);
        }

        return new Shown($judged->because, $judged->trippedAfterS === null ? null : round($judged->trippedAfterS, 1));
    }

    /**
     * @param  'hotend'|'bed'  $what
     * @return non-empty-list<HeatSample>
     */
    private function measured(string $what, float $since): array
    {
        $log = $this->log->samples($what, $since);

        return count($log) >= self::LEAST_SAMPLES
            ? $log
            : throw StageFailed::because('The printer told too few temperatures to judge it by. Its firmware must know M155.', null);
    }

    /** @return Generator<int, Want, mixed, Shown> */
    public function heatMoving(): Generator
    {
        $y = 0.0;
        try {
            // homing keeps a printer from hearing anything else, so it comes before the heat
            yield Want::ok('M104 S0');
            yield Want::ok('M140 S0');
            yield Want::ok('G28', 120.0);
            [$x, $y] = $this->plan->bed->at(0, 0);
            yield Want::ok(sprintf('G1 X%.1f Y%.1f Z10 F3000', $x, $y), 120.0);
            yield from $this->heat->heatBoth();
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
            throw StageFailed::because(
                sprintf('Heating while it moved, near Y %.0f mm, the printer stopped: %s.', $y, $e->said),
                $e->restarted ? 'restarts-itself' : (str_contains($e->said, 'bed') ? 'bed-drops-moving' : 'reads-jumpy'),
            );
        }
        $this->heat->refuseJumps($from);

        return new Shown('Both heaters held while every axis went end to end.');
    }

    private function said(float $number): string
    {
        return (string) round($number, 1);
    }
}
