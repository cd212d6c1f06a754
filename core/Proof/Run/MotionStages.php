<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use Generator;

/** The stages that move without heat: homing, and full travel with its switches (common practice). */
final readonly class MotionStages
{
    public function __construct(private Plan $plan, private Log $log)
    {
    }

    /** @return Generator<int, Want, mixed, Shown> */
    public function homing(): Generator
    {
        $began = $this->log->now;
        // a delta homes all three towers together, at their tops
        foreach ($this->plan->bed->round ? [['X', 'Y', 'Z']] : [['X'], ['Y'], ['Z']] as $axes) {
            $named = implode(', ', $axes);
            try {
                yield Want::ok(count($axes) > 1 ? 'G28' : "G28 {$named}", 90.0);
                $switches = $this->switches(Want::lines(yield Want::ok('M119', 90.0)));
            } catch (Halted $e) {
                throw StageFailed::because("Homing {$named} stopped the printer: {$e->said}.", 'error-homing');
            }
            foreach ($axes as $axis) {
                if (! ($switches[$axis] ?? false) && ! ($axis === 'Z' && $this->plan->probed && ! $this->plan->bed->round)) {
                    throw StageFailed::because("{$axis} is homed, and its switch is not pressed.", 'switch-not-reached');
                }
            }
        }

        return new Shown(sprintf('All axes on their switches in %.0f s.', $this->log->now - $began));
    }

    /** @return Generator<int, Want, mixed, Shown> */
    public function travel(): Generator
    {
        yield Want::ok('G90');
        $go = fn (float $right, float $back, int $feed): Want => Want::ok(
            vsprintf("G1 X%.1f Y%.1f F{$feed}", $this->plan->bed->at($right, $back)),
            60.0,
        );
        [$x, $y] = $this->plan->bed->at(0, 0);
        yield Want::ok(sprintf('G1 X%.1f Y%.1f Z10 F3000', $x, $y), 120.0);
        foreach ([1, -1] as $end) {
            yield $go($end, $end, 3000);
        }
        yield Want::ok('M204 P3000');
        foreach (range(1, 4) as $_) {
            yield $go(1, 1, 12_000);
            yield $go(-1, -1, 12_000);
        }
        yield Want::ok('M204 P1000');
        if ($this->plan->bed->round) {
            yield $go(0, 0, 3000);
            yield from $this->arrive($x, $y);
            if ((yield Want::person(
                'After quick strokes it went back to the middle, without homing. Does the nozzle stand over the middle of the bed?',
                ['over the middle', 'beside it'],
            )) !== 'over the middle') {
                throw StageFailed::because('After quick strokes the middle is beside the middle: steps were lost.', 'layers-shifted');
            }

            return new Shown('Edge to edge, slow and quick; the middle is where it was.');
        }
        // just off its switch it must be open, on it pressed: steps that were lost show here
        yield Want::ok('G1 X1 Y1 F3000');
        yield from $this->arrive(1.0, 1.0);
        $off = $this->switches(Want::lines(yield Want::ok('M119')));
        yield Want::ok('G1 X0 Y0 F600');
        yield from $this->arrive(0.0, 0.0);
        $on = $this->switches(Want::lines(yield Want::ok('M119')));
        foreach (['X', 'Y'] as $axis) {
            if (($off[$axis] ?? false) || ! ($on[$axis] ?? false)) {
                throw StageFailed::because(
                    "After quick strokes {$axis} is not where it should be: "
                        .(($off[$axis] ?? false) ? 'its switch is pressed 1 mm early' : 'its switch is not pressed at zero')
                        .'. Steps were lost.',
                    'layers-shifted',
                );
            }
        }

        return new Shown('End to end, slow and quick; no step lost.');
    }

    /**
     * Waits until the axes stand there.
     *
     * @return Generator<int, Want, mixed, void>
     */
    private function arrive(float $x, float $y): Generator
    {
        for ($i = 0; $i < 120; $i++) {
            $said = implode(' ', Want::lines(yield Want::ok('M114')));
            if (preg_match('/X:(-?[\d.]+) Y:(-?[\d.]+)/', $said, $at) === 1
                && abs((float) $at[1] - $x) < 0.02
                && abs((float) $at[2] - $y) < 0.02) {
                return;
            }
            yield Want::time(0.5);
        }
        throw StageFailed::because("It does not arrive at X {$x}, Y {$y}.", 'axis-stiff');
    }

    /**
     * @param  list<string>  $lines
     * @return array<string, bool>
     */
    private function switches(array $lines): array
    {
        $pressed = [];
        foreach ($lines as $line) {
            if (preg_match('/^([xyz])_(?:min|max):\s*(\w+)/i', $line, $found) === 1) {
                $pressed[strtoupper($found[1])] = strtoupper($found[2]) === 'TRIGGERED';
            }
        }

        return $pressed;
    }
}
