<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Input\InputError;

/** Plays G-code of RepRap-style firmware line by line and keeps what it found; memory does not grow with the file. */
final class GcodeReader
{
    private const COLD_BELOW_C = 170.0;

    private const HOTTEST_C = 500.0;

    private const SLACK_MM = 0.01;

    /** mm/s no machine of this kind moves at. */
    private const FASTEST = 2000.0;

    private const LONGEST_REST_S = 86_400.0;

    private const LONGEST_PUSH_MM = 200.0;

    /** An arc whose end lies so far beside its circle is none, mm. */
    private const BESIDE_MM = 0.5;

    /** Splines and probing moves: nothing here follows them. */
    private const NOT_FOLLOWED = ['G5', 'G5.1', 'G6', 'G33', 'G34', 'G38.2', 'G38.3', 'G38.4', 'G38.5'];

    /** @var array{X: float, Y: float, Z: float, E: float} where the machine is; E as it counts */
    private array $at = ['X' => 0.0, 'Y' => 0.0, 'Z' => 0.0, 'E' => 0.0];

    /** @var array{X: float, Y: float, Z: float} what G92 shifted: where it is less what the file calls it */
    private array $shift = ['X' => 0.0, 'Y' => 0.0, 'Z' => 0.0];

    private bool $relative = false;

    private bool $relativeE = false;

    private float $unit = 1.0;

    private float $feed = 25.0;

    /** @var 17|18|19 */
    private int $plane = 17;

    /** @var array<string, true> axes that know where they are */
    private array $homed = [];

    private ?float $nozzle = null;

    public int $commands = 0;

    /** Lines that are a command, by letter and number. */
    public int $known = 0;

    public readonly Motion $motion;

    public readonly GcodeTrace $trace;

    public readonly GcodeProblems $problems;

    private readonly GcodeFraming $framing;

    private readonly GcodeExtrusion $extrusion;

    /**
     * @param  array{X: float|null, Y: float|null, Z: float|null}  $bed
     * @param  bool  $middle  X and Y count from the middle of the bed, as on a delta
     */
    public function __construct(private readonly array $bed, private readonly bool $middle, float $acceleration, float $deviation)
    {
        $this->motion = new Motion($acceleration, $deviation);
        $this->trace = new GcodeTrace;
        $this->problems = new GcodeProblems;
        $this->framing = new GcodeFraming;
        $this->extrusion = new GcodeExtrusion;
    }

    /** @throws InputError when the line is no text */
    public function line(int $number, string $line): void
    {
        if (strpbrk($line, "\0\x01\x02\x03\x04\x05\x06\x07") !== false) {
            throw InputError::at('file', "Line {$number} is no text: this is not plain G-code, or the file is damaged.");
        }
        $code = $this->framing->bare($line);
        foreach ($this->framing->wrong() as [$kind, $message]) {
            $this->problems->add($number, $kind, $message);
        }
        if ($code === '') {
            return;
        }
        $words = GcodeWords::of($code);
        foreach ($words->wrong as [$kind, $message]) {
            $this->problems->add($number, $kind, $message);
        }
        $this->commands++;
        $this->known += $words->command === '' ? 0 : 1;
        $this->run($number, $words->command, $words->values);
    }

    /** @param  array<string, float>  $words */
    private function run(int $number, string $command, array $words): void
    {
        match ($command) {
            'G0', 'G1' => $this->straight($number, $words),
            'G2', 'G3' => $this->arc($number, $words, $command === 'G2'),
            'G4' => $this->rest($number, $words),
            'G17', 'G18', 'G19' => $this->plane = match ($command) {
                'G17' => 17, 'G18' => 18, default => 19
            },
            'G20' => $this->unit = 25.4,
            'G21' => $this->unit = 1.0,
            'G28' => $this->home($words),
            'G90', 'G91' => $this->setRelative($command === 'G91', $command === 'G91'),
            'M82', 'M83' => $this->setRelative($this->relative, $command === 'M83'),
            'G92' => $this->set($words),
            'M104', 'M109' => $this->heat($number, 'hotend', $words),
            'M140', 'M190' => $this->heat($number, 'bed', $words),
            default => in_array($command, self::NOT_FOLLOWED, true) ? $this->problems->add(
                $number,
                'not-followed',
                "{$command} is not followed here: where it goes and how long it takes are left out.",
            ) : null,
        };
    }

    private function setRelative(bool $relative, bool $relativeE): void
    {
        $this->relative = $relative;
        $this->relativeE = $relativeE;
        $this->extrusion->anew($this->at['E']);
    }

    /** @param  array<string, float>  $words */
    private function straight(int $number, array $words): void
    {
        [$to, $de] = $this->target($number, $words);
        $length = hypot($to['X'] - $this->at['X'], $to['Y'] - $this->at['Y']);
        $wrong = isset($words['E']) && $length > 0 && $words['E'] > 0 ? $this->extrusion->line(
            $length,
            $words['E'] * $this->unit,
            $de,
            $this->relativeE,
        ) : null;
        if ($wrong !== null) {
            $this->problems->add($number, 'mixed-modes', $wrong);
        }
        $this->go($number, $to, $de);
    }

    /**
     * Where a move ends and what it extrudes; its feed rate is kept.
     *
     * @param  array<string, float>  $words
     * @return array{array{X: float, Y: float, Z: float, E: float}, float}
     */
    private function target(int $number, array $words): array
    {
        $to = $this->at;
        foreach (['X', 'Y', 'Z'] as $axis) {
            if (isset($words[$axis])) {
                $to[$axis] = $words[$axis] * $this->unit + ($this->relative ? $this->at[$axis] : $this->shift[$axis]);
            }
        }
        if (isset($words['F'])) {
            $this->feed($number, $words['F'] * $this->unit / 60);
        }
        $e = isset($words['E']) ? $words['E'] * $this->unit : null;

        return [$to, $e === null ? 0.0 : ($this->relativeE ? $e : $e - $this->at['E'])];
    }

    private function feed(int $number, float $speed): void
    {
        if ($speed > 0 && $speed <= self::FASTEST) {
            $this->feed = $speed;

            return;
        }
        $this->problems->add($number, 'feed', $speed > 0
            ? sprintf('F asks for %s mm/s; no machine moves like that.', Said::figure($speed))
            : ($speed < 0 ? 'F is negative: no machine moves backwards in time.' : 'F0 asks it to move without moving; the feed before it is kept.'));
    }

    /** @param  array{X: float, Y: float, Z: float, E: float}  $to */
    private function go(int $number, array $to, float $de): void
    {
        $dx = $to['X'] - $this->at['X'];
        $dy = $to['Y'] - $this->at['Y'];
        $dz = $to['Z'] - $this->at['Z'];
        $this->motion->add($dx, $dy, $dz, $de, $this->feed);
        if ($de !== 0.0) {
            $this->extrude($number, $de);
        }
        if ($dx !== 0.0 || $dy !== 0.0 || $dz !== 0.0) {
            $lost = array_keys(array_filter(
                ['X' => $dx, 'Y' => $dy, 'Z' => $dz],
                fn (float $d, string $axis): bool => $d !== 0.0 && ! isset($this->homed[$axis]),
                ARRAY_FILTER_USE_BOTH,
            ));
            if ($lost !== []) {
                $this->problems->add(
                    $number,
                    'no-home',
                    sprintf('It moves %s before %s homed.', implode(' and ', $lost), count($lost) === 1 ? 'it was' : 'they were'),
                );
            }
            $this->inside($number, $to);
            $this->trace->move($this->at, $to, $de > 0 && ($dx !== 0.0 || $dy !== 0.0));
        }
        $this->at = ['X' => $to['X'], 'Y' => $to['Y'], 'Z' => $to['Z'], 'E' => $this->at['E'] + $de];
    }

    private function extrude(int $number, float $de): void
    {
        $this->trace->extrude($de);
        if ($de > 0 && ($this->nozzle ?? 0.0) < self::COLD_BELOW_C) {
            $this->problems->add(
                $number,
                'cold-extrusion',
                $this->nozzle === null ? 'It extrudes before a temperature was set.' : "It extrudes at {$this->nozzle} °C.",
            );
        }
        if ($de > self::LONGEST_PUSH_MM) {
            $this->problems->add(
                $number,
                'mixed-modes',
                sprintf('One move extrudes %s mm: absolute and relative extrusion seem to be mixed up.', Said::figure($de)),
            );
        }
    }

    /** @param  array{X: float, Y: float, Z: float, E: float}  $to */
    private function inside(int $number, array $to): void
    {
        foreach ($this->bed as $axis => $size) {
            if ($size === null) {
                continue;
            }
            $least = $this->middle && $axis !== 'Z' ? -$size / 2 : 0.0;
            if ($to[$axis] < $least - self::SLACK_MM || $to[$axis] > $least + $size + self::SLACK_MM) {
                $this->problems->add(
                    $number,
                    'outside',
                    sprintf(
                        '%s goes to %s mm; the machine has %s to %s.',
                        $axis,
                        Said::figure($to[$axis]),
                        Said::figure($least),
                        Said::figure($least + $size),
                    ),
                );
            }
        }
    }

    /** @param  array<string, float>  $words */
    private function arc(int $number, array $words, bool $clockwise): void
    {
        [$to, $de] = $this->target($number, $words);
        $offsets = array_map(
            fn (float $value): float => $value * $this->unit,
            array_intersect_key($words, ['I' => 0, 'J' => 0, 'K' => 0, 'R' => 0]),
        );
        $points = Arc::points($this->at, $to, $offsets, $clockwise, $this->plane);
        if ($points === []) {
            $this->problems->add($number, 'unreadable', sprintf('This arc has no centre: give %s, or a radius R that reaches.', match ($this->plane) {
                17 => 'I and J', 18 => 'I and K', default => 'J and K'
            }));

            return;
        }
        if (($beside = Arc::beside($this->at, $to, $offsets, $this->plane)) > self::BESIDE_MM) {
            $this->problems->add(
                $number,
                'arc',
                sprintf('The end of this arc lies %s mm beside its circle: the machine jumps there at the end.', Said::figure($beside)),
            );
        }
        foreach ($points as [$x, $y, $z]) {
            $this->go($number, ['X' => $x, 'Y' => $y, 'Z' => $z, 'E' => 0.0], $de / count($points));
        }
    }

    /** @param  array<string, float>  $words */
    private function rest(int $number, array $words): void
    {
        $seconds = ($words['S'] ?? 0.0) + ($words['P'] ?? 0.0) / 1000;
        if ($seconds < 0 || $seconds > self::LONGEST_REST_S) {
            $this->problems->add($number, 'absurd', sprintf('G4 would wait for %s s; it is left out.', Said::figure($seconds)));
            $seconds = 0.0;
        }
        $this->motion->rest($seconds);
    }

    /** @param  array<string, float>  $words */
    private function home(array $words): void
    {
        $this->motion->rest();
        $named = array_values(array_intersect(['X', 'Y', 'Z'], array_keys($words)));
        foreach ($named === [] ? ['X', 'Y', 'Z'] : $named as $axis) {
            $this->at[$axis] = $this->shift[$axis] = 0.0;
            $this->homed[$axis] = true;
        }
    }

    /** @param  array<string, float>  $words */
    private function set(array $words): void
    {
        $named = array_intersect_key($words, ['X' => 0, 'Y' => 0, 'Z' => 0, 'E' => 0]);
        foreach ($named === [] ? ['X' => 0.0, 'Y' => 0.0, 'Z' => 0.0, 'E' => 0.0] : $named as $axis => $value) {
            if ($axis === 'E') {
                $this->at['E'] = $value * $this->unit;
                $this->extrusion->anew($this->at['E']);
            } else {
                $this->shift[$axis] = $this->at[$axis] - $value * $this->unit;
            }
        }
    }

    /**
     * @param  'hotend'|'bed'  $what
     * @param  array<string, float>  $words
     */
    private function heat(int $number, string $what, array $words): void
    {
        $value = $words['S'] ?? $words['R'] ?? null;
        if ($value === null) {
            return;
        }
        if ($value < 0 || $value > self::HOTTEST_C) {
            $this->problems->add(
                $number,
                'absurd',
                sprintf('%s °C is no temperature of a %s.', Said::figure($value), $what === 'bed' ? 'bed' : 'hot end'),
            );

            return;
        }
        if ($what === 'hotend') {
            $this->nozzle = $value;
        }
        $this->trace->heat($what, $value);
    }
}
