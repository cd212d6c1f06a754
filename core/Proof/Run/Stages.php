<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use Generator;
use OddBench\Proof\Prints\ProofPrint;

/** What each stage of a run does and how it is judged (common practice); here the first two, where nothing heats yet. */
final readonly class Stages
{
    private const ROOM = [5.0, 45.0];

    /** Two sensors of a cold machine differ by less. */
    private const APART = 8.0;

    /** Asks the firmware to switch off by itself when nothing happens for so long; one that does not know it says so. */
    public const GUARD = 'M86 S1800';

    private MotionStages $motion;

    private HeatStages $heating;

    private PrintStages $printing;

    private Heat $heat;

    public function __construct(Plan $plan, Log $log)
    {
        $this->heat = new Heat($plan, $log);
        $this->motion = new MotionStages($plan, $log);
        $this->heating = new HeatStages($plan, $log, $this->heat);
        $this->printing = new PrintStages($plan, $log, $this->heat);
    }

    /** @return Generator<int, Want, mixed, Shown> ends with what was shown */
    public function run(string $stage): Generator
    {
        return match ($stage) {
            'identify' => $this->identify(),
            'smoke' => $this->smoke(),
            'homing' => $this->motion->homing(),
            'travel' => $this->motion->travel(),
            'hotend-hold' => $this->heating->hold('hotend'),
            'bed-hold' => $this->heating->hold('bed'),
            'runaway-hotend' => $this->heating->runaway('hotend'),
            'runaway-bed' => $this->heating->runaway('bed'),
            'heat-moving' => $this->heating->heatMoving(),
            'free-air' => $this->printing->freeAir(),
            'first-layer' => $this->printing->prints(ProofPrint::FirstLayer, 'Look at the layer: do the lines touch everywhere, and is nothing scraped?', 'first-layer-uneven'),
            'print' => $this->printing->prints(ProofPrint::Ring, 'Look at the print: walls closed, no step, no gap?', 'gaps-in-fill'),
            'slots' => $this->printing->slots(),
            'slot-prints' => $this->printing->prints(ProofPrint::SlotRings, 'Look at the rings: one from each slot, walls closed?', 'slot-spins-nothing'),
            'materials' => $this->printing->prints(ProofPrint::Materials, 'Look at the print: every band in its material, none missing?', 'slot-alarm'),
            default => $this->printing->prints(ProofPrint::Long, 'Look at the long print: the same from bottom to top?', 'fails-after-hours'),
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
        $now = $this->heat->sample('The printer reports no temperatures. Its firmware must know M155.');
        $warm = $now->hotend > self::ROOM[1] || $now->bed > self::ROOM[1] || abs($now->hotend - $now->bed) > self::APART;
        if ($warm) {
            yield from $this->heat->cools(static fn (Sample $s): bool => max($s->hotend, $s->bed) <= self::ROOM[1] && abs($s->hotend - $s->bed) <= self::APART);
            $now = $this->heat->now();
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
}
