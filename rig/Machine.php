<?php

declare(strict_types=1);

namespace OddBench\Rig;

use Random\Randomizer;

/** The hardware and its firmware, below the line protocol: heat, motion, feed, and the faults in them. */
final class Machine
{
    /** Cross-section of 1.75 mm filament, mm². */
    private const FILAMENT_MM2 = 2.405;

    private const HOT_GAINS = ['kp' => 0.055, 'ki' => 0.0022, 'kd' => 0.32];

    private const BED_GAINS = ['kp' => 0.12, 'ki' => 0.0016, 'kd' => 0.6];

    private const COLDEST_EXTRUSION = 170.0;

    public Axes $axes;

    /** Where somebody holds cool air: hotend, bed or nowhere. */
    public ?string $air = null;

    /** @var array{string, float}|null heater and temperature somebody waits for in the firmware (M109, M190) */
    public ?array $waitsFor = null;

    private HeatLoop $hotend;

    private HeatLoop $bed;

    private float $blockedUntil = 0.0;

    private ?string $homingFails = null;

    private bool $outOfReach = false;

    private bool $absolute = true;

    private bool $absoluteE = true;

    private float $asked = 0.0;

    private float $fed = 0.0;

    /** @var 'none'|'straight'|'curls'|'nothing-comes-out' */
    private string $strand = 'none';

    private float $hotSinkSince = INF;

    private bool $jammed = false;

    private float $fullLoad = 0.0;

    private bool $sagged = false;

    /** @param  list<Fault>  $faults */
    public function __construct(
        private readonly Numbers $numbers,
        private readonly array $faults,
        private readonly Randomizer $random,
        ?GoesOn $goesOn = null,
    ) {
        $this->axes = new Axes(
            $numbers->sizeMm,
            $this->has(Fault::CarriageBlocked),
            $this->has(Fault::BeltSlack),
            $random,
            $numbers->delta,
            $numbers->probed,
        );
        $safe = ! $this->has(Fault::NoRunawayProtection);
        $this->hotend = new HeatLoop(
            'E0',
            new TwoNodes(14.0, 40.0, 0.035, $numbers->ambientC),
            $numbers->hotendW,
            self::HOT_GAINS,
            ['watchS' => 20.0, 'riseC' => 2.0, 'periodS' => 40.0, 'hysteresisC' => 4.0, 'mostC' => 315.0],
            $safe,
            $random,
            $goesOn?->isBed() === true ? null : $goesOn,
        );
        $this->bed = new HeatLoop(
            'bed',
            new TwoNodes($numbers->bedHeatJPerK, 250.0, 6.0, $numbers->ambientC),
            $numbers->bedW,
            self::BED_GAINS,
            ['watchS' => 60.0, 'riseC' => 2.0, 'periodS' => 60.0, 'hysteresisC' => 3.0, 'mostC' => 135.0],
            $safe,
            $random,
            $goesOn?->isBed() === true ? $goesOn : null,
        );
    }

    /** @return string|null what stops the machine */
    public function step(float $now, float $dt): ?string
    {
        $fanOn = ! $this->has(Fault::BreakFanDead);
        $h1 = 0.055 + ($this->air === 'hotend' ? 0.55 : 0.0);
        $share = ($this->has(Fault::HeaterOpen) ? 0.0 : ($this->has(Fault::HeaterWeak) ? 0.45 : 1.0)) * $this->supply();
        $stop = $this->hotend->step(
            $now,
            $dt,
            $h1,
            $fanOn ? 0.6 : 0.03,
            $share,
            $this->has(Fault::ThermistorDrifting) ? 14.0 : 0.0,
            $this->hotendReads($now),
        );
        $wire = $this->bedWireOpen($now);
        // 0.35 Ω in the plug of a 2.6 Ω bed leaves (2.6 / 2.95)² of its power
        $bedShare = ($wire ? 0.0 : ($this->has(Fault::BedContact) ? 0.62 : 1.0)) * $this->supply();
        $bedStop = $this->bed->step($now, $dt, 1.0 + ($this->air === 'bed' ? 14.0 : 0.0), 1.0, $bedShare, 0.0, $wire ? -15.0 : null);
        $this->creep($now);
        $this->load($dt);
        if ($this->outOfReach) {
            $this->outOfReach = false;

            return 'Position out of reach';
        }
        if ($this->homingFails !== null && $now >= $this->blockedUntil) {
            $axis = $this->homingFails;
            $this->homingFails = null;

            return "Homing Failed {$axis}";
        }

        return $stop !== null ? "{$stop}, Heater_ID: E0" : ($bedStop !== null ? "{$bedStop}, Heater_ID: bed" : null);
    }

    /** It homes, dwells, changes a slot or waits for heat. */
    public function occupied(float $now): bool
    {
        return $now < $this->blockedUntil || ($this->waitsFor !== null && $this->blocks('', $now));
    }

    /** Whether a command has to wait. */
    public function blocks(string $command, float $now): bool
    {
        if ($now < $this->blockedUntil) {
            return true;
        }
        if ($this->waitsFor !== null) {
            [$heater, $target] = $this->waitsFor;
            $reading = $heater === 'bed' ? $this->bed->reading : $this->hotend->reading;
            if (abs($reading - $target) > 1.5 && $reading < $target) {
                return true;
            }
            $this->waitsFor = null;
        }
        if (preg_match('/^(G28|M400|G4)\b/i', $command) === 1) {
            return ! $this->axes->idle();
        }

        return preg_match('/^G[01]\b/i', $command) === 1 && $this->axes->full();
    }

    /** Does a command; the answer ends with ok. */
    public function execute(string $command, float $now): string
    {
        if (preg_match('/^([GMT])(\d+)\b\s*(.*)$/i', $command, $found) !== 1) {
            return "echo:Unknown command: \"{$command}\"\nok\n";
        }
        $words = self::words($found[3]);

        return match (strtoupper($found[1]).$found[2]) {
            'G0', 'G1' => $this->go($words, $now),
            'G4' => $this->dwell($words, $now),
            'G28' => $this->home($found[3], $now),
            'G90' => $this->set(fn () => $this->absolute = $this->absoluteE = true),
            'G91' => $this->set(fn () => $this->absolute = $this->absoluteE = false),
            'M82' => $this->set(fn () => $this->absoluteE = true),
            'M83' => $this->set(fn () => $this->absoluteE = false),
            'G92' => $this->set(fn () => $this->axes->planned = array_merge(
                $this->axes->planned,
                array_intersect_key($words, $this->axes->planned),
            )),
            'M104' => $this->set(fn () => $this->hotend->aim($words['S'] ?? 0.0, $now)),
            'M140' => $this->set(fn () => $this->bed->aim($words['S'] ?? 0.0, $now)),
            'M109' => $this->heatAndWait('hotend', $this->hotend, $words, $now),
            'M190' => $this->heatAndWait('bed', $this->bed, $words, $now),
            'M105' => "ok {$this->temperatures()}\n",
            'M114' => $this->position($now),
            'M119' => $this->switches($now),
            'M115' => "FIRMWARE_NAME:RepRap-style 1.2 PROTOCOL_VERSION:1.0 MACHINE_TYPE:{$this->numbers->family} EXTRUDER_COUNT:1\nCap:AUTOREPORT_TEMP:1\nCap:EMERGENCY_PARSER:1\nCap:SDCARD:1\nok\n",
            'M78' => "Stats: Prints: 40, Finished: 37, Failed: 3\nStats: Total time: {$this->numbers->hours}h 0m 0s, Longest job: 20h 3m 0s\nok\n",
            'M503' => "echo:  M92 X80.00 Y80.00 Z400.00 E93.00\necho:  M203 X300.00 Y300.00 Z20.00 E60.00\necho:  M204 P{$this->axes->acceleration}\nok\n",
            'M204' => $this->set(fn () => $this->axes->acceleration = max(50.0, $words['P'] ?? $words['S'] ?? $this->axes->acceleration)),
            'T0', 'T1', 'T2', 'T3' => $this->slot((int) $found[2], $now),
            'G21', 'M17', 'M18', 'M84', 'M106', 'M107', 'M108', 'M110', 'M117', 'M220', 'M221', 'M400' => "ok\n",
            default => "echo:Unknown command: \"{$command}\"\nok\n",
        };
    }

    public function temperatures(): string
    {
        return sprintf(
            'T:%.2f /%.2f B:%.2f /%.2f @:%d B@:%d',
            $this->hotend->reading,
            $this->hotend->target,
            $this->bed->reading,
            $this->bed->target,
            (int) round($this->hotend->duty * 127),
            (int) round($this->bed->duty * 127),
        );
    }

    public function hotendTarget(): float
    {
        return $this->hotend->target;
    }

    public function seen(): Seen
    {
        return new Seen(
            $this->strand,
            $this->asked > 0 ? $this->fed / $this->asked : 1.0,
            ! $this->has(Fault::BreakFanDead),
            ['X' => $this->axes->body('X', INF), 'Y' => $this->axes->body('Y', INF), 'Z' => $this->axes->body('Z', INF)],
            $this->hotend->nodes->t2,
            $this->hotend->nodes->t1,
        );
    }

    public function coolDown(float $now): void
    {
        $this->hotend->aim(0.0, $now);
        $this->bed->aim(0.0, $now);
    }

    public function allOff(float $now): void
    {
        $this->coolDown($now);
        $this->axes->stop($now);
        $this->waitsFor = null;
        $this->blockedUntil = 0.0;
        $this->homingFails = null;
    }

    public function reset(float $now): void
    {
        $this->allOff($now);
        $this->axes->homed = ['X' => false, 'Y' => false, 'Z' => false];
        $this->absolute = $this->absoluteE = true;
        $this->fullLoad = 0.0;
    }

    /** A supply that sags lets the board restart once both heaters have pulled for a while. */
    public function restarts(): bool
    {
        if (! $this->has(Fault::SupplySags) || $this->fullLoad < 12.0) {
            return false;
        }
        $this->fullLoad = 0.0;
        $this->sagged = true;

        return true;
    }

    private function has(Fault $fault): bool
    {
        return in_array($fault, $this->faults, true);
    }

    private function supply(): float
    {
        return $this->has(Fault::SupplySags) ? 0.9 : 1.0;
    }

    private function load(float $dt): void
    {
        $this->fullLoad = $this->hotend->duty > 0.4 && $this->bed->duty > 0.4 && ! $this->sagged ? $this->fullLoad + $dt : 0.0;
    }

    /** What the hot-end sensor says when it is not sound. */
    private function hotendReads(float $now): ?float
    {
        if ($this->has(Fault::ThermistorOpen)) {
            return -15.0;
        }
        if ($this->has(Fault::ThermistorShort)) {
            return 420.0;
        }
        if ($this->has(Fault::ThermistorLoose)) {
            $x = $this->axes->body('X', $now);
            if ($x > $this->numbers->sizeMm[0] * 0.7 && $x < $this->numbers->sizeMm[0] * 0.85) {
                return $this->hotend->nodes->t1 + $this->random->getInt(-300, 300) / 10;
            }
        }

        return null;
    }

    private function bedWireOpen(float $now): bool
    {
        $y = $this->axes->body('Y', $now);

        return $this->has(Fault::BedWireBroken) && $y > $this->numbers->sizeMm[1] * 0.6 && $y < $this->numbers->sizeMm[1] * 0.75;
    }

    /** Heat that climbs past a dead fan softens the filament above the break, and after minutes nothing moves. */
    private function creep(float $now): void
    {
        if ($this->hotend->nodes->t2 < 60.0) {
            $this->hotSinkSince = INF;

            return;
        }
        $this->hotSinkSince = min($this->hotSinkSince, $now);
        $this->jammed = $this->jammed || $now - $this->hotSinkSince > 90.0;
    }

    /** @param  array<string, float>  $words */
    private function go(array $words, float $now): string
    {
        $to = [];
        foreach (['X', 'Y', 'Z'] as $axis) {
            if (isset($words[$axis])) {
                $to[$axis] = $this->absolute ? $words[$axis] : $this->axes->planned[$axis] + $words[$axis];
                if (! $this->axes->homed[$axis]) {
                    return "echo:Home {$axis} First\nok\n";
                }
                $to[$axis] = $this->numbers->delta ? $to[$axis] : max(
                    -2.0,
                    min($this->numbers->sizeMm[['X' => 0, 'Y' => 1, 'Z' => 2][$axis]], $to[$axis]),
                );
            }
        }
        $this->outOfReach = $this->outOfReach || ($this->numbers->delta && hypot(
            $to['X'] ?? 0.0,
            $to['Y'] ?? 0.0,
        ) > $this->numbers->sizeMm[0] / 2);
        $answer = '';
        if (isset($words['E'])) {
            $e = $this->absoluteE ? $words['E'] : $this->axes->planned['E'] + $words['E'];
            if ($this->hotend->nodes->t1 < self::COLDEST_EXTRUSION) {
                $answer = "echo: cold extrusion prevented\n";
                $this->axes->planned['E'] = $e;
            } else {
                $to['E'] = $e;
            }
        }
        if ($to !== []) {
            $begins = $this->axes->planned;
            $this->axes->move($to, isset($words['F']) ? $words['F'] / 60 : null, $now);
            if (isset($to['E']) && $to['E'] > $begins['E']) {
                $this->push($to['E'] - $begins['E'], $begins, array_merge($begins, $to));
            }
        } elseif (isset($words['F'])) {
            $this->axes->feed = $words['F'] / 60;
        }

        return "{$answer}ok\n";
    }

    /**
     * Filament against the back-pressure of the nozzle.
     *
     * @param  array<string, float>  $from
     * @param  array<string, float>  $to
     */
    private function push(float $mm, array $from, array $to): void
    {
        $length = sqrt(($to['X'] - $from['X']) ** 2 + ($to['Y'] - $from['Y']) ** 2 + ($to['Z'] - $from['Z']) ** 2);
        $seconds = max(0.05, ($length > 0 ? $length : $mm) / max(0.1, $this->axes->feed));
        $flow = $mm * self::FILAMENT_MM2 / $seconds;
        $most = $this->jammed ? 0.0 : $this->numbers->mostFlowMm3PerS * ($this->has(Fault::PartClog) ? 0.12 : 1.0);
        $this->asked += $mm;
        $this->fed += $mm * min(1.0, $flow > 0 ? $most / $flow : 1.0);
        $this->strand = $this->jammed ? 'nothing-comes-out' : ($this->has(Fault::PartClog) ? 'curls' : 'straight');
    }

    /** @param  array<string, float>  $words */
    private function dwell(array $words, float $now): string
    {
        $this->blockedUntil = $now + ($words['S'] ?? 0.0) + ($words['P'] ?? 0.0) / 1000;

        return "ok\n";
    }

    private function home(string $rest, float $now): string
    {
        $axes = array_values(array_filter(['X', 'Y', 'Z'], static fn (string $axis): bool => stripos($rest, $axis) !== false));
        [$seconds, $fails] = $this->axes->home($axes === [] ? ['X', 'Y', 'Z'] : $axes);
        $this->blockedUntil = $now + $seconds;
        $this->homingFails = $fails;

        return "ok\n";
    }

    /** @param  array<string, float>  $words */
    private function heatAndWait(string $name, HeatLoop $heater, array $words, float $now): string
    {
        $target = $words['S'] ?? $words['R'] ?? 0.0;
        $heater->aim($target, $now);
        $this->waitsFor = [$name, $target];

        return "ok\n";
    }

    private function position(float $now): string
    {
        $at = $this->axes->at($now);

        return sprintf(
            "X:%.2f Y:%.2f Z:%.2f E:%.2f Count X:%d Y:%d Z:%d\nok\n",
            $at['X'],
            $at['Y'],
            $at['Z'],
            $at['E'],
            (int) round($at['X'] * 80),
            (int) round($at['Y'] * 80),
            (int) round($at['Z'] * 400),
        );
    }

    private function switches(float $now): string
    {
        $lines = '';
        foreach (['X', 'Y', 'Z'] as $axis) {
            $lines .= strtolower($axis).($this->numbers->delta ? '_max: ' : '_min: ')
                .($this->axes->pressed($axis, $now) ? 'TRIGGERED' : 'open')."\n";
        }

        return "Reporting endstop status\n{$lines}ok\n";
    }

    private function slot(int $slot, float $now): string
    {
        if ($slot >= $this->numbers->slots) {
            return "echo:T{$slot} Invalid extruder\nok\n";
        }
        $this->blockedUntil = $now + 9.0;

        return $this->has(Fault::SlotJammed) && $slot === 2
            ? "Error:Filament stuck in slot {$slot}\nok\n"
            : "echo:Active Extruder: {$slot}\nok\n";
    }

    private function set(callable $change): string
    {
        $change();

        return "ok\n";
    }

    /** @return array<string, float> letter => number */
    private static function words(string $rest): array
    {
        preg_match_all('/([A-Z])\s*(-?\d*\.?\d+)/i', $rest, $found, PREG_SET_ORDER);
        $words = [];
        foreach ($found as [, $letter, $number]) {
            $words[strtoupper($letter)] = (float) $number;
        }

        return $words;
    }
}
