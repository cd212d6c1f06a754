<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use Generator;

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
    public function run(RunStage $stage): Generator
    {
        return match ($stage) {
            RunStage::Identify => $this->identify(),
            RunStage::Smoke => $this->smoke(),
            RunStage::Homing => $this->motion->homing(),
            RunStage::Travel => $this->motion->travel(),
            RunStage::HotendHold => $this->heating->hold('hotend'),
            RunStage::BedHold => $this->heating->hold('bed'),
            RunStage::RunawayHotend => $this->heating->runaway('hotend'),
            RunStage::RunawayBed => $this->heating->runaway('bed'),
            RunStage::HeatMoving => $this->heating->heatMoving(),
            RunStage::FreeAir => $this->printing->freeAir(),
            RunStage::Slots => $this->printing->slots(),
            RunStage::FirstLayer,
            RunStage::Print,
            RunStage::SlotPrints,
            RunStage::Materials,
            RunStage::Long => $this->printing->prints($stage),
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
            yield from $this->heat->cools(
                static fn (Sample $s): bool => max($s->hotend, $s->bed) <= self::ROOM[1] && abs($s->hotend - $s->bed) <= self::APART,
            );
            $now = $this->heat->now();
        }
        foreach (['hot end' => [$now->hotend, 'reads-impossible'], 'bed' => [$now->bed, 'bed-reads-wrong']] as $name => [$c, $finding]) {
            if ($c < self::ROOM[0] || $c > self::ROOM[1]) {
                throw StageFailed::because(
                    sprintf(
                        'The %s shows %.1f °C with nothing heated, and does not cool; a room has %.0f to %.0f.',
                        $name,
                        $c,
                        ...self::ROOM,
                    ),
                    $finding,
                );
            }
        }
        if (abs($now->hotend - $now->bed) > self::APART) {
            throw StageFailed::because(
                sprintf(
                    'Cold, the hot end shows %.1f °C and the bed %.1f: %.1f apart, and %.0f are allowed. One of them is off its curve.',
                    $now->hotend,
                    $now->bed,
                    abs($now->hotend - $now->bed),
                    self::APART,
                ),
                'thermistor-off-curve',
            );
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
