<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Input\Contents;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/** Reads a temperature log: CSV `time_s,actual_c,target_c[,power]`, or the lines a RepRap-style firmware prints. */
final class HeatLog
{
    private const MOST_BYTES = 16 * 1024 * 1024;

    private const MOST_LINES = 1_000_000;

    private const LONGEST_LINE = 2000;

    /** No time, temperature or power is larger. */
    private const LARGEST = 1e9;

    private const STOPPED = '/thermal runaway|heating failed|system stopped|printer (halted|stopped)|kill\(\)|emergency stop/i';

    /**
     * @return non-empty-list<HeatSample>
     *
     * @throws InputError with the line
     */
    public static function read(Fields $fields): array
    {
        $given = array_values(array_filter(['csv_file', 'csv', 'lines'], $fields->has(...)));
        if (count($given) !== 1) {
            throw InputError::at('csv', 'Give exactly one of csv_file, csv and lines.');
        }
        $samples = match ($given[0]) {
            'csv_file' => self::csv($fields->contents('csv_file')->bytes(self::MOST_BYTES, 'csv_file'), 'csv_file'),
            'csv' => self::csv($fields->text('csv'), 'csv'),
            default => self::firmware($fields),
        };
        if (count($samples) < 3) {
            throw InputError::at($given[0], 'A log needs at least three samples.');
        }

        return $samples;
    }

    /** @return list<HeatSample> */
    private static function csv(string $text, string $field): array
    {
        $samples = [];
        $before = -INF;
        $first = true;
        foreach (Contents::text($text)->lines(self::LONGEST_LINE) as $i => $line) {
            if (trim($line) === '') {
                continue;
            }
            $cells = self::cells($line);
            if ($first && ! is_numeric($cells[0])) {
                $first = false;

                continue;
            }
            $first = false;
            if (count($cells) < 3 || count($cells) > 4) {
                throw InputError::at(
                    $field,
                    "Line {$i}: time_s, actual_c, target_c and perhaps power stand on each line, not ".count($cells).' values.',
                );
            }
            foreach ($cells as $cell) {
                if (! is_numeric($cell) || abs((float) $cell) > self::LARGEST) {
                    throw InputError::at($field, sprintf('Line %d: “%s” is no number of a log.', $i, mb_strcut(mb_scrub($cell), 0, 40)));
                }
            }
            $samples[] = self::sample(
                $before,
                (float) $cells[0],
                (float) $cells[1],
                (float) $cells[2],
                isset($cells[3]) ? (float) $cells[3] : null,
                $field,
                $i,
            );
            $before = (float) $cells[0];
        }

        return $samples;
    }

    /** @return non-empty-list<string> separated by tab, semicolon or comma; a decimal comma where the separator is another */
    private static function cells(string $line): array
    {
        $separator = str_contains($line, "\t") ? "\t" : (str_contains($line, ';') ? ';' : ',');
        $cells = explode($separator, $separator === ',' ? $line : str_replace(',', '.', $line));
        foreach ($cells as $i => $cell) {
            $cells[$i] = trim($cell);
        }

        return $cells;
    }

    /** @return list<HeatSample> */
    private static function firmware(Fields $fields): array
    {
        $interval = $fields->number('interval_s', ...Quantity::LogInterval->bounds());
        $channel = $fields->choice('channel', ['T', 'B', 'T0', 'T1', 'T2', 'T3', 'C'], 'T');
        $quoted = preg_quote($channel, '/');
        $power = $channel === 'T' ? '@' : ($channel === 'B' ? 'B@' : '@'.substr($channel, 1));
        $samples = [];
        $said = '';
        foreach ($fields->texts('lines', self::MOST_LINES) as $i => $line) {
            if (strlen($line) > self::LONGEST_LINE) {
                throw InputError::at("lines.{$i}", 'This line is longer than any a firmware prints.');
            }
            $said = preg_match(self::STOPPED, $line) === 1 && strlen($said) < self::LONGEST_LINE ? trim("{$said} {$line}") : $said;
            if (preg_match("/(?:^|\\s){$quoted}:\\s*(-?\\d+(?:\\.\\d+)?)\\s*\\/\\s*(-?\\d+(?:\\.\\d+)?)/", $line, $found) !== 1) {
                if ($said !== '' && $samples !== []) {
                    $samples[] = array_pop($samples)->halted($said);
                }

                continue;
            }
            $given = preg_match('/(?:^|\s)'.preg_quote($power, '/').':\s*(-?\d+(?:\.\d+)?)/', $line, $of) === 1 ? (float) $of[1] : null;
            $sample = self::sample(-INF, count($samples) * $interval, (float) $found[1], (float) $found[2], $given, 'lines', $i + 1);
            $samples[] = $said === '' ? $sample : $sample->halted($said);
        }
        if ($samples === []) {
            throw InputError::at('lines', "No line tells of {$channel}: they look like “T:210.1 /210.0 B:60.0 /60.0 @:64”.");
        }

        return $samples;
    }

    /** @param  float  $before  when the sample before was taken, s */
    private static function sample(
        float $before,
        float $at,
        float $actual,
        float $target,
        ?float $power,
        string $field,
        int $line,
    ): HeatSample {
        if ($actual < -60 || $actual > 600 || $target < 0 || $target > 600) {
            throw InputError::at($field, "Line {$line}: {$actual} of {$target} °C is no temperature of a heater here.");
        }
        if ($at <= $before) {
            throw InputError::at($field, "Line {$line}: the time does not run on.");
        }

        return new HeatSample($at, $actual, $target, $power, false);
    }
}
