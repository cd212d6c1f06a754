<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Input\InputError;

/** Plays G-code of RepRap-style firmware line by line and keeps what it found; memory does not grow with the file. */
final class GcodeReader
{
    /** An arc whose end lies so far beside its circle is none, mm. */
    private const BESIDE_MM = 0.5;

    /** Splines and probing moves: nothing here follows them. */
    private const NOT_FOLLOWED = ['G5', 'G5.1', 'G6', 'G33', 'G34', 'G38.2', 'G38.3', 'G38.4', 'G38.5'];

    /** A move as slicers write it, which most lines are; anything else is cut up word by word. No number of it is absurd. */
    private const PLAIN = '/^G[01](?: F(\d{1,6}(?:\.\d+)?))?(?: X(-?\d{1,6}(?:\.\d+)?))?(?: Y(-?\d{1,6}(?:\.\d+)?))?'
        .'(?: Z(-?\d{1,6}(?:\.\d+)?))?(?: E(-?\d{0,6}\.?\d+))?(?: F(\d{1,6}(?:\.\d+)?))?$/D';

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

    private readonly GcodeRules $rules;

    private readonly GcodeFraming $framing;

    private readonly GcodeExtrusion $extrusion;

    /**
     * @param  array{X: float|null, Y: float|null, Z: float|null}  $bed
     * @param  bool  $middle  X and Y count from the middle of the bed, as on a delta
     */
    public function __construct(array $bed, bool $middle, float $acceleration, float $deviation)
    {
        $this->motion = new Motion($acceleration, $deviation);
        $this->trace = new GcodeTrace;
        $this->problems = new GcodeProblems;
        $this->rules = new GcodeRules($this->problems, $bed, $middle);
        $this->framing = new GcodeFraming;
        $this->extrusion = new GcodeExtrusion;
    }

    /** @throws InputError when the line is no text */
    public function line(int $number, string $line): void
    {
        if (preg_match(self::PLAIN, $line, $found, PREG_UNMATCHED_AS_NULL) === 1 && ($found[1] === null || $found[6] === null)) {
            $this->commands++;
            $this->known++;
            [, $first, $x, $y, $z, $e, $last] = $found;
            $feed = $first ?? $last;
            $this->straight(
                $number,
                $x === null ? null : (float) $x,
                $y === null ? null : (float) $y,
                $z === null ? null : (float) $z,
                $e === null ? null : (float) $e,
                $feed === null ? null : (float) $feed,
            );

            return;
        }
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
            'G0', 'G1' => $this->straight($number, ...self::figures($words)),
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

    /**
     * @param  array<string, float>  $words
     * @return list<float|null> of X, Y, Z, E and F
     */
    private static function figures(array $words): array
    {
        return [$words['X'] ?? null, $words['Y'] ?? null, $words['Z'] ?? null, $words['E'] ?? null, $words['F'] ?? null];
    }

    private function setRelative(bool $relative, bool $relativeE): void
    {
        $this->relative = $relative;
        $this->relativeE = $relativeE;
        $this->extrusion->anew($this->at['E']);
    }

    private function straight(int $number, ?float $x, ?float $y, ?float $z, ?float $e, ?float $feed): void
    {
        [$to, $de] = $this->target($number, $x, $y, $z, $e, $feed);
        if ($e !== null && $e > 0) {
            $length = hypot($to['X'] - $this->at['X'], $to['Y'] - $this->at['Y']);
            $wrong = $length > 0 ? $this->extrusion->line($length, $e * $this->unit, $de, $this->relativeE) : null;
            if ($wrong !== null) {
                $this->problems->add($number, 'mixed-modes', $wrong);
            }
        }
        $this->go($number, $to, $de);
    }

    /**
     * Where a move ends and what it extrudes; its feed rate is kept.
     *
     * @return array{array{X: float, Y: float, Z: float, E: float}, float}
     */
    private function target(int $number, ?float $x, ?float $y, ?float $z, ?float $e, ?float $feed): array
    {
        $to = $this->at;
        $from = $this->relative ? $to : $this->shift;
        if ($x !== null) {
            $to['X'] = $x * $this->unit + $from['X'];
        }
        if ($y !== null) {
            $to['Y'] = $y * $this->unit + $from['Y'];
        }
        if ($z !== null) {
            $to['Z'] = $z * $this->unit + $from['Z'];
        }
        if ($feed !== null && $this->rules->feed($number, $feed * $this->unit / 60)) {
            $this->feed = $feed * $this->unit / 60;
        }

        return [$to, $e === null ? 0.0 : ($this->relativeE ? $e * $this->unit : $e * $this->unit - $to['E'])];
    }

    /** @param  array{X: float, Y: float, Z: float, E: float}  $to */
    private function go(int $number, array $to, float $de): void
    {
        $dx = $to['X'] - $this->at['X'];
        $dy = $to['Y'] - $this->at['Y'];
        $dz = $to['Z'] - $this->at['Z'];
        $this->motion->add($dx, $dy, $dz, $de, $this->feed);
        if ($de !== 0.0) {
            $this->trace->extrude($de);
            $this->rules->extrusion($number, $de, $this->nozzle);
        }
        if ($dx !== 0.0 || $dy !== 0.0 || $dz !== 0.0) {
            if (count($this->homed) < 3) {
                $this->rules->homed($number, ['X' => $dx, 'Y' => $dy, 'Z' => $dz], $this->homed);
            }
            $this->rules->inside($number, $to);
            $this->trace->move($this->at, $to, $de > 0 && ($dx !== 0.0 || $dy !== 0.0));
        }
        $to['E'] = $this->at['E'] + $de;
        $this->at = $to;
    }

    /** @param  array<string, float>  $words */
    private function arc(int $number, array $words, bool $clockwise): void
    {
        [$to, $de] = $this->target($number, ...self::figures($words));
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
        $this->motion->rest($this->rules->rest($number, $seconds));
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
        if ($value === null || ! $this->rules->temperature($number, $what, $value)) {
            return;
        }
        if ($what === 'hotend') {
            $this->nozzle = $value;
        }
        $this->trace->heat($what, $value);
    }
}
