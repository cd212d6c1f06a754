<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Input\InputError;

/** Plays G-code of RepRap-style firmware line by line and keeps what it found; memory does not grow with the file. */
final class GcodeReader
{
    private const COLD_BELOW_C = 170.0;

    private const SLACK_MM = 0.01;

    /** @var array{X: float, Y: float, Z: float, E: float} */
    private array $at = ['X' => 0.0, 'Y' => 0.0, 'Z' => 0.0, 'E' => 0.0];

    private bool $relative = false;

    private bool $relativeE = false;

    private float $unit = 1.0;

    private float $feed = 25.0;

    private bool $homed = false;

    private ?float $nozzle = null;

    public int $commands = 0;

    public readonly Motion $motion;

    public readonly GcodeTrace $trace;

    public readonly GcodeProblems $problems;

    private readonly GcodeFraming $framing;

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
        $words = explode(' ', strtoupper($code));
        $this->commands++;
        match ($words[0]) {
            'G0', 'G1', 'G00', 'G01' => $this->straight($number, $words),
            'G2', 'G3', 'G02', 'G03' => $this->arc($number, $words, str_ends_with($words[0], '2')),
            'G4', 'G04' => $this->motion->rest(($this->word($words, 'S') ?? 0.0) + ($this->word($words, 'P') ?? 0.0) / 1000),
            'G20' => $this->unit = 25.4,
            'G21' => $this->unit = 1.0,
            'G28' => $this->home($words),
            'G90' => $this->setRelative(false),
            'G91' => $this->setRelative(true),
            'M82' => $this->relativeE = false,
            'M83' => $this->relativeE = true,
            'G92' => $this->set($words),
            'M104', 'M109' => $this->heat('hotend', $words),
            'M140', 'M190' => $this->heat('bed', $words),
            default => $this->other($number, $words[0]),
        };
    }

    private function setRelative(bool $relative): void
    {
        $this->relative = $relative;
        $this->relativeE = $relative;
    }

    /** @param  list<string>  $words */
    private function straight(int $number, array $words): void
    {
        [$to, $de] = $this->target($number, $words);
        $this->go($number, $to, $de);
    }

    /**
     * Where a move ends and what it extrudes; its feed rate is kept.
     *
     * @param  list<string>  $words
     * @return array{array{X: float, Y: float, Z: float, E: float}, float}
     */
    private function target(int $number, array $words): array
    {
        $to = $this->at;
        $e = null;
        foreach ($words as $i => $word) {
            if ($i === 0 || $word === '') {
                continue;
            }
            $letter = $word[0];
            $value = substr($word, 1);
            if (! is_numeric($value)) {
                if (strpbrk($letter, 'XYZEF') !== false) {
                    $this->problems->add($number, 'unreadable', "“{$word}” is no number.");
                }

                continue;
            }
            $value = (float) $value * $this->unit;
            if ($letter === 'E') {
                $e = $value;
            } elseif ($letter === 'F') {
                $this->feed = max(0.01, $value / 60);
            } elseif ($letter === 'X' || $letter === 'Y' || $letter === 'Z') {
                $to[$letter] = $this->relative ? $this->at[$letter] + $value : $value;
            }
        }

        return [$to, $e === null ? 0.0 : ($this->relativeE ? $e : $e - $this->at['E'])];
    }

    /**
     * @param  array{X: float, Y: float, Z: float, E: float}  $to
     */
    private function go(int $number, array $to, float $de): void
    {
        $dx = $to['X'] - $this->at['X'];
        $dy = $to['Y'] - $this->at['Y'];
        $dz = $to['Z'] - $this->at['Z'];
        $moves = $dx !== 0.0 || $dy !== 0.0 || $dz !== 0.0;
        $this->motion->add($dx, $dy, $dz, $de, $this->feed);
        if ($de !== 0.0) {
            $this->extrude($number, $de);
        }
        if ($moves) {
            if (! $this->homed) {
                $this->problems->add($number, 'no-home', 'It moves before it was homed.');
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
            $this->problems->add($number, 'cold-extrusion', $this->nozzle === null ? 'It extrudes before a temperature was set.' : "It extrudes at {$this->nozzle} °C.");
        }
        if ($de > 200) {
            $this->problems->add($number, 'mixed-modes', sprintf('One move extrudes %d mm: absolute and relative extrusion seem to be mixed up.', $de));
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
                $this->problems->add($number, 'outside', sprintf('%s goes to %s mm; the machine has %s to %s.', $axis, Said::figure($to[$axis]), Said::figure($least), Said::figure($least + $size)));
            }
        }
    }

    /** @param  list<string>  $words */
    private function arc(int $number, array $words, bool $clockwise): void
    {
        [$to, $de] = $this->target($number, $words);
        $scaled = fn (string $letter): ?float => ($value = $this->word($words, $letter)) === null ? null : $value * $this->unit;
        $points = Arc::points($this->at, $to, $scaled('I'), $scaled('J'), $scaled('R'), $clockwise);
        if ($points === []) {
            $this->problems->add($number, 'unreadable', 'This arc has no centre: give I and J, or a radius R that reaches.');

            return;
        }
        foreach ($points as [$x, $y, $z]) {
            $this->go($number, ['X' => $x, 'Y' => $y, 'Z' => $z, 'E' => 0.0], $de / count($points));
        }
    }

    /** @param  list<string>  $words */
    private function home(array $words): void
    {
        $this->motion->rest();
        $named = array_intersect(['X', 'Y', 'Z'], array_map(static fn (string $w): string => $w === '' ? '' : $w[0], array_slice($words, 1)));
        foreach ($named === [] ? ['X', 'Y', 'Z'] : $named as $axis) {
            $this->at[$axis] = 0.0;
        }
        $this->homed = true;
    }

    /** @param  list<string>  $words */
    private function set(array $words): void
    {
        $named = false;
        foreach (['X', 'Y', 'Z', 'E'] as $axis) {
            $value = $this->word($words, $axis);
            if ($value !== null) {
                $this->at[$axis] = $value * $this->unit;
                $named = true;
            }
        }
        if (! $named) {
            $this->at = ['X' => 0.0, 'Y' => 0.0, 'Z' => 0.0, 'E' => 0.0];
        }
    }

    /**
     * @param  'hotend'|'bed'  $what
     * @param  list<string>  $words
     */
    private function heat(string $what, array $words): void
    {
        $value = $this->word($words, 'S') ?? $this->word($words, 'R');
        if ($value === null) {
            return;
        }
        if ($what === 'hotend') {
            $this->nozzle = $value;
        }
        $this->trace->heat($what, $value);
    }

    private function other(int $number, string $word): void
    {
        if (preg_match('/^[GMTD]\d+(\.\d+)?$/', $word) !== 1 && preg_match('/^[A-Z_][A-Z0-9_.]*$/', $word) !== 1) {
            $this->problems->add($number, 'unreadable', sprintf('“%s” is no command.', mb_strcut(mb_scrub($word), 0, 40)));
        }
    }

    /** @param  list<string>  $words */
    private function word(array $words, string $letter): ?float
    {
        foreach ($words as $i => $word) {
            if ($i > 0 && $word !== '' && $word[0] === $letter && is_numeric(substr($word, 1))) {
                return (float) substr($word, 1);
            }
        }

        return null;
    }
}
