<?php

declare(strict_types=1);

namespace OddBench\Rig;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What somebody at the bench reads off a simulated machine: meter, watch, calliper and log, each with its usual error. Every
 * seed is another machine of the kind on another day: its room, its heaters and its sensors differ a little.
 */
final readonly class Measured
{
    private const STEP_S = 0.1;

    private const SUPPLY_V = 24.0;

    private Machine $machine;

    private Numbers $numbers;

    private Randomizer $random;

    /** @param  list<Fault>  $faults */
    public function __construct(private array $faults, int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->numbers = new Numbers(
            'made up',
            [220.0, 220.0, 250.0],
            40.0 * $this->about(0.04),
            220.0 * $this->about(0.03),
            500.0 * $this->about(0.03),
            22.0 + 4 * $this->normal(),
            1,
            11.0,
        );
        $this->machine = new Machine($this->numbers, $faults, $this->random);
    }

    public function roomC(): float
    {
        return $this->numbers->ambientC;
    }

    /**
     * Heated up and held, a line of the firmware each second.
     *
     * @param  'hotend'|'bed'  $heater
     * @return list<string>
     */
    public function heatUp(string $heater, float $target, float $seconds): array
    {
        return $this->log($seconds, [[2.0, ($heater === 'bed' ? 'M140 S' : 'M104 S').$target]]);
    }

    /**
     * Held, and then every axis is driven slowly to and fro while it holds.
     *
     * @param  'hotend'|'bed'  $heater
     * @return list<string>
     */
    public function heldMoving(string $heater, float $target): array
    {
        $reached = $heater === 'bed' ? 500.0 : 150.0;
        $commands = [[1.0, 'G28'], [2.0, ($heater === 'bed' ? 'M140 S' : 'M104 S').$target], [$reached, 'G1 X5 Y5 Z10 F3000']];
        for ($i = 1; $i <= 8; $i++) {
            $commands[] = [$reached + 20 * $i, $i % 2 === 1 ? 'G1 X215 Y215 F900' : 'G1 X5 Y5 F900'];
        }

        return $this->log($reached + 200, $commands);
    }

    /**
     * Held for a while and then cooled with air, a line each second.
     *
     * @param  'hotend'|'bed'  $heater
     * @return list<string>
     */
    public function cooled(string $heater, float $target, float $coolAt, float $seconds): array
    {
        return $this->log($seconds, [[2.0, ($heater === 'bed' ? 'M140 S' : 'M104 S').$target]], [$coolAt, $heater]);
    }

    /** s from the room to a temperature of the bed by a watch; nothing when it does not get there. */
    public function bedSeconds(float $target): ?float
    {
        foreach ($this->heatUp('bed', $target, 900.0) as $second => $line) {
            if (preg_match('/B:(-?[\d.]+)/', $line, $found) === 1 && (float) $found[1] >= $target - 1) {
                return $second - 2 + 1.5 * $this->normal();
            }
        }

        return null;
    }

    /** The heater’s resistance, cold, Ω. */
    public function heaterOhm(): float
    {
        $share = $this->has(Fault::HeaterWeak) ? 0.45 : 1.0;

        return $this->has(Fault::HeaterOpen) ? 5e6 : self::SUPPLY_V ** 2 / ($this->numbers->hotendW * $share) * $this->about(0.01);
    }

    /** The hot end’s sensor in the room, Ω: 100 kΩ at 25 °C, beta 3950. */
    public function sensorOhm(): float
    {
        $celsius = $this->numbers->ambientC + ($this->has(Fault::ThermistorDrifting) ? 14.0 : 0.0) + 0.5 * $this->normal();

        return match (true) {
            $this->has(Fault::ThermistorOpen) => 2e7,
            $this->has(Fault::ThermistorShort) => 3.0,
            default => 100_000 * exp(3950 * (1 / ($celsius + 273.15) - 1 / 298.15)) * $this->about(0.01),
        };
    }

    /** @return list<float> mm that came of 100 mm asked for, hot, three times */
    public function fed(): array
    {
        $share = $this->has(Fault::PartClog) ? 0.6 : 1.0;

        return array_map(
            fn (): float => 100 * $share * $this->about($this->has(Fault::PartClog) ? 0.05 : 0.002) + 0.2 * $this->normal(),
            [1, 2, 3],
        );
    }

    /** A WAV file of the plucked belt: well at 110 Hz over 150 mm, slack at half of that and less. */
    public function pluck(): string
    {
        $hz = ($this->has(Fault::BeltSlack) ? 50.0 + 5 * $this->normal() : 110.0) * $this->about(0.02);

        return Pluck::wav((new Pluck($hz, 0.3, signalToNoise: 15, seconds: 0.9))->samples(8000, $this->random), 8000);
    }

    /**
     * @param  list<array{float, string}>  $commands  when, what
     * @param  array{float, 'hotend'|'bed'}|null  $air  from when on, at what
     * @return list<string>
     */
    private function log(float $seconds, array $commands, ?array $air = null): array
    {
        $lines = [];
        $stopped = false;
        for ($tick = 0, $ticks = (int) round($seconds / self::STEP_S); $tick < $ticks; $tick++) {
            $now = $tick * self::STEP_S;
            foreach ($commands as $i => [$at, $command]) {
                if ($now >= $at) {
                    $this->machine->execute($command, $now);
                    unset($commands[$i]);
                }
            }
            $this->machine->air = $air !== null && $now >= $air[0] ? $air[1] : null;
            $stop = $this->machine->step($now, self::STEP_S);
            if ($stop !== null && ! $stopped) {
                $stopped = true;
                $this->machine->allOff($now);
                $lines[] = "Error:{$stop}, system stopped!";
            }
            if ($tick % 10 === 0) {
                $lines[] = $this->machine->temperatures();
            }
        }

        return $lines;
    }

    private function has(Fault $fault): bool
    {
        return in_array($fault, $this->faults, true);
    }

    private function about(float $share): float
    {
        return 1 + $share * $this->normal();
    }

    /** Normally distributed, cut off at two standard deviations. */
    private function normal(): float
    {
        return max(-2.0, min(2.0, Pluck::normal($this->random)));
    }
}
