<?php

declare(strict_types=1);

namespace App\Api;

use RuntimeException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A table to keep or send: UTF-8, commas, and no words a spreadsheet would take for a formula. */
final class Csv
{
    /**
     * @param  list<list<float|int|string|null>>  $rows  the head first
     * @param  bool  $marked  begins with the mark by which spreadsheets know UTF-8
     */
    public static function file(string $name, array $rows, bool $marked): Response
    {
        $file = fopen('php://temp', 'r+');
        if ($file === false) {
            throw new RuntimeException('No room for a table.');
        }
        foreach ($rows as $row) {
            fputcsv($file, array_map(self::cell(...), $row), ',', '"', '', "\r\n");
        }
        rewind($file);

        return response(
            ($marked ? "\u{FEFF}" : '').stream_get_contents($file),
            200,
            ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"{$name}.csv\""],
        );
    }

    /**
     * A table of any length, row by row as it is read.
     *
     * @param  callable(): iterable<list<float|int|string|null>>  $rows  the head first
     */
    public static function stream(string $name, callable $rows): StreamedResponse
    {
        return new StreamedResponse(static function () use ($rows): void {
            $out = fopen('php://output', 'w');
            if ($out === false) {
                return;
            }
            fwrite($out, "\u{FEFF}");
            foreach ($rows() as $row) {
                fputcsv($out, array_map(self::cell(...), $row), ',', '"', '', "\r\n");
            }
        }, 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"{$name}.csv\"", 'X-Accel-Buffering' => 'no']);
    }

    /** Words that would be a formula are marked as words; numbers stay numbers. */
    private static function cell(float|int|string|null $value): float|int|string|null
    {
        if (! is_string($value)) {
            return $value;
        }
        // a spreadsheet set to semicolons or tabs begins a cell behind each of them, whatever stands in quotes
        $value = (string) preg_replace('/([;\t]\s*)(?=[=+\-@])/', "$1'", $value);

        return preg_match('/^[=+\-@\t\r]/', $value) === 1 ? "'{$value}" : $value;
    }
}
