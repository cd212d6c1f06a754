<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Input\Contents;
use OddBench\Input\InputError;
use OddBench\Knowledge\InstrumentSheet;
use OddBench\Knowledge\SheetInput;

/**
 * What somebody typed or pasted into an instrument’s sheet, as the instrument takes it. Numbers with a decimal comma or
 * point; tables one row a line, separated by tabs, semicolons or blanks as a spreadsheet gives them.
 */
final class TypedInput
{
    private const MOST_ROWS = 2000;

    /**
     * @param  array<string, string>  $typed  input key => text
     * @return array<string, mixed>
     *
     * @throws InputError by the input’s key
     */
    public static function of(InstrumentSheet $sheet, array $typed, ?Contents $file): array
    {
        $input = $sheet->fixed;
        foreach ($sheet->inputs as $asked) {
            $text = trim($typed[$asked->key] ?? '');
            unset($typed[$asked->key]);
            if ($asked->kind === 'file') {
                $input[$asked->key] = $file ?? throw InputError::at($asked->key, "{$asked->label}: choose or drop a file.");

                continue;
            }
            if ($text === '') {
                if (! $asked->optional) {
                    throw InputError::at($asked->key, "{$asked->label} is missing.");
                }

                continue;
            }
            $input = self::put($input, explode('.', $asked->key), self::value($asked, $text));
        }
        foreach (array_keys($typed) as $key) {
            throw InputError::unknown(
                (string) $key,
                'field',
                (string) $key,
                array_map(static fn (SheetInput $i): string => $i->key, $sheet->inputs),
            );
        }

        return $input;
    }

    private static function value(SheetInput $asked, string $text): mixed
    {
        return match ($asked->kind) {
            'choice', 'text' => $text,
            'numbers' => array_map(
                static fn (string $cell): float => self::number($cell, $asked, 1),
                self::cells(str_replace(["\r", "\n"], ' ', $text)),
            ),
            'pairs' => self::rows($asked, $text, 2, static fn (array $n): array => $n),
            'points' => self::rows($asked, $text, 3, static fn (array $n): array => ['x_mm' => $n[0], 'y_mm' => $n[1], 'z_mm' => $n[2]]),
            'screws' => self::named($asked, $text),
            default => self::number($text, $asked, null),
        };
    }

    private static function number(string $text, SheetInput $asked, ?int $row): float
    {
        $plain = str_replace([',', '−', ' ', "\u{202F}", "\u{A0}"], ['.', '-', '', '', ''], $text);
        if (! is_numeric($plain) || ! is_finite((float) $plain)) {
            throw InputError::at($asked->key, $asked->label.($row === null ? '' : ", row {$row}").": “{$text}” is no number.");
        }

        return (float) $plain;
    }

    /**
     * @param  callable(list<float>): array<int|string, float>  $make
     * @return list<array<int|string, float>>
     */
    private static function rows(SheetInput $asked, string $text, int $columns, callable $make): array
    {
        $rows = [];
        foreach (self::lines($asked, $text) as $row => $line) {
            $cells = self::cells($line);
            if ($row === 1 && ! preg_match('/^[−\-+]?[\d.,]/u', $cells[0] ?? '')) {
                continue;
            }
            if (count($cells) !== $columns) {
                throw InputError::at(
                    $asked->key,
                    sprintf('%s, row %d: %d values stand there, %d are wanted.', $asked->label, $row, count($cells), $columns),
                );
            }
            $rows[] = $make(array_map(static fn (string $cell): float => self::number($cell, $asked, $row), $cells));
        }

        return $rows;
    }

    /** @return list<array{name: string, x_mm: float, y_mm: float}> the last two values are the place, what stands before is the name */
    private static function named(SheetInput $asked, string $text): array
    {
        $rows = [];
        foreach (self::lines($asked, $text) as $row => $line) {
            $cells = self::cells($line);
            $y = array_pop($cells);
            $x = array_pop($cells);
            if ($x === null || $y === null || $cells === []) {
                throw InputError::at($asked->key, "{$asked->label}, row {$row}: a name, x and y are wanted.");
            }
            $rows[] = ['name' => implode(' ', $cells), 'x_mm' => self::number($x, $asked, $row), 'y_mm' => self::number($y, $asked, $row)];
        }

        return $rows;
    }

    /** @return array<int, string> row from 1 on => line */
    private static function lines(SheetInput $asked, string $text): array
    {
        $lines = [];
        foreach (preg_split('/\r\n|\r|\n/', $text) ?: [] as $i => $line) {
            if (trim($line) !== '') {
                $lines[$i + 1] = $line;
            }
        }
        if (count($lines) > self::MOST_ROWS) {
            throw InputError::at(
                $asked->key,
                sprintf('%s: %d rows are too many; take up to %d.', $asked->label, count($lines), self::MOST_ROWS),
            );
        }

        return $lines;
    }

    /** @return list<string> by tab or semicolon where there is one, by comma and blank where numbers have points, else by blanks */
    private static function cells(string $line): array
    {
        $by = match (true) {
            str_contains($line, "\t") => '/\t/',
            str_contains($line, ';') => '/;/',
            preg_match('/,\s/', $line) === 1 || substr_count($line, ',') > 0 && str_contains($line, '.') || preg_match(
                '/^[^ ]*,[^ ]*,[^ ]*$/',
                trim($line),
            ) === 1 => '/\s*,\s*/',
            default => '/\s+/',
        };

        return array_values(array_filter(
            array_map(trim(...), preg_split($by, trim($line)) ?: []),
            static fn (string $cell): bool => $cell !== '',
        ));
    }

    /**
     * @param  array<string, mixed>  $input
     * @param  list<string>  $path
     * @return array<string, mixed>
     */
    private static function put(array $input, array $path, mixed $value): array
    {
        $key = array_shift($path) ?? '';
        $inner = $input[$key] ?? [];
        $input[$key] = $path === [] ? $value : self::put(is_array($inner) ? self::keyed($inner) : [], $path, $value);

        return $input;
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return array<string, mixed>
     */
    private static function keyed(array $values): array
    {
        $keyed = [];
        foreach ($values as $key => $value) {
            $keyed[(string) $key] = $value;
        }

        return $keyed;
    }
}
