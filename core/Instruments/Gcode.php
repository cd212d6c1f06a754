<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Contents;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Input\JsonObject;
use OddBench\Units\Quantity;

/**
 * What a G-code file does: where it goes, what it takes, how long, and what is wrong with it. Read as a stream: a file of
 * any size takes the same memory.
 */
final readonly class Gcode implements Computation
{
    private const ACCELERATION = 1000.0;

    private const JUNCTION_DEVIATION = 0.05;

    private const LONGEST_LINE = 4096;

    private const MOST_TEXT = 2 * 1024 * 1024;

    public function name(): string
    {
        return 'gcode';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $text = $fields->has('gcode') ? $fields->text('gcode') : '';
        if (strlen($text) > self::MOST_TEXT) {
            throw InputError::at(
                'gcode',
                sprintf(
                    'gcode holds more than %d MB; a file of any size goes in by its name as file.',
                    intdiv(self::MOST_TEXT, 1024 * 1024),
                ),
            );
        }
        $file = $text !== '' ? Contents::text($text) : $fields->contents('file');
        $bed = [
            'X' => $fields->numberOrNull('bed_x_mm', ...Quantity::BuildSize->bounds()),
            'Y' => $fields->numberOrNull('bed_y_mm', ...Quantity::BuildSize->bounds()),
            'Z' => $fields->numberOrNull('bed_z_mm', ...Quantity::BuildSize->bounds()),
        ];
        $middle = $fields->choice('origin', ['corner', 'middle'], 'corner') === 'middle';
        $reader = new GcodeReader(
            $bed,
            $middle,
            $fields->numberOrNull('acceleration_mm_s2', ...Quantity::Acceleration->bounds()) ?? self::ACCELERATION,
            $fields->numberOrNull('junction_deviation_mm', ...Quantity::JunctionDeviation->bounds()) ?? self::JUNCTION_DEVIATION,
        );
        $fields->done();
        $line = $this->through($file, $reader);
        $extents = $reader->trace->printed === [] ? $reader->trace->moved : $reader->trace->printed;

        return [
            'lines' => $line,
            'extents' => JsonObject::map(self::named($extents)),
            'travel_extents' => JsonObject::map(self::named($reader->trace->moved)),
            'filament_mm' => $reader->trace->filament,
            'layers' => $reader->trace->layers(),
            'temperatures' => $reader->trace->temperatures,
            'estimated_s' => $reader->motion->seconds(),
            'axis_share' => JsonObject::map($this->shares($extents, $bed)),
            'problems' => $reader->problems->told,
            'problem_counts' => JsonObject::map($reader->problems->counts),
            'verdict' => $reader->problems->told === [] ? 'ok' : 'out',
            'because' => $reader->problems->told === [] ? 'Nothing is wrong with it.' : sprintf(
                'Line %d: %s',
                $reader->problems->told[0]['line'],
                $reader->problems->told[0]['message'],
            ),
        ];
    }

    /**
     * What a file takes of filament and time, on a usual machine.
     *
     * @throws InputError when it is no G-code, or damaged
     */
    public function need(Contents $file): GcodeNeed
    {
        $reader = new GcodeReader(['X' => null, 'Y' => null, 'Z' => null], false, self::ACCELERATION, self::JUNCTION_DEVIATION);
        $this->through($file, $reader);

        return new GcodeNeed($reader->trace->filament, $reader->motion->seconds());
    }

    /**
     * Reads all of it.
     *
     * @return int its lines
     *
     * @throws InputError when it is no G-code, or damaged
     */
    private function through(Contents $file, GcodeReader $reader): int
    {
        $line = 0;
        $text = '';
        foreach ($file->lines(self::LONGEST_LINE) as $line => $text) {
            if (strlen($text) > self::LONGEST_LINE && strpos($text, ';') === false) {
                throw InputError::at('file', "Line {$line} is longer than any a firmware reads: the file is damaged, or no G-code.");
            }
            $reader->line($line, $text);
        }
        if (strlen($text) <= self::LONGEST_LINE
            && preg_match('/^\s*(?:N\d+\s*)?(?:(?:G0*[0-3]|G92|M104|M109|M140|M190)(?!\d)[^;]*[XYZEFIJKRS]\s*-?\.?|[GM])$/i', $text) === 1) {
            throw InputError::at('file', "The file breaks off in the middle of line {$line}. Slice or copy it again.");
        }
        if ($reader->commands === 0) {
            throw InputError::at('file', $line === 0 ? 'The file is empty.' : "There is no command in these {$line} lines.");
        }
        if (2 * $reader->known < $reader->commands) {
            throw InputError::at(
                'file',
                sprintf(
                    'This is no G-code: of %d lines only %d begin with a command such as G1 or M104.',
                    $reader->commands,
                    $reader->known,
                ),
            );
        }

        return $line;
    }

    /**
     * @param  array<string, array{min: float, max: float}>  $extents
     * @return array<string, array{min: float, max: float}>
     */
    private static function named(array $extents): array
    {
        return array_combine(array_map(strtolower(...), array_keys($extents)), $extents);
    }

    /**
     * @param  array<string, array{min: float, max: float}>  $extents
     * @param  array<string, float|null>  $bed
     * @return array<string, float>
     */
    private function shares(array $extents, array $bed): array
    {
        $shares = [];
        foreach ($bed as $axis => $size) {
            if ($size !== null && isset($extents[$axis])) {
                $shares[strtolower($axis)] = ($extents[$axis]['max'] - $extents[$axis]['min']) / $size;
            }
        }

        return $shares;
    }
}
