<?php

declare(strict_types=1);

namespace App\Api;

use Generator;

/** Reads a table row by row: UTF-8 with or without its mark, semicolon, comma or tab, quoted or not. */
final class CsvRows
{
    private const LONGEST_ROW = 100_000;

    /**
     * @param  resource  $file  that can be wound back
     * @return Generator<int, list<string>> line number from 1 on => cells
     */
    public static function of($file): Generator
    {
        rewind($file);
        $start = (string) fread($file, 3);
        if ($start !== "\u{FEFF}") {
            rewind($file);
        }
        $begin = ftell($file);
        $head = (string) fgets($file, self::LONGEST_ROW);
        $sign = self::sign($head);
        fseek($file, (int) $begin);
        for ($row = 1; ($cells = fgetcsv($file, self::LONGEST_ROW, $sign, '"', '')) !== false; $row++) {
            if ($cells !== [null]) {
                yield $row => array_map(static fn (?string $cell): string => $cell ?? '', $cells);
            }
        }
    }

    /** The sign that parts most in the first row. */
    private static function sign(string $head): string
    {
        $counts = array_map(static fn (string $sign): int => substr_count($head, $sign), [';' => ';', ',' => ',', "\t" => "\t"]);
        arsort($counts);

        return (string) array_key_first($counts);
    }
}
