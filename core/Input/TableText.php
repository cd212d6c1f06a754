<?php

declare(strict_types=1);

namespace OddBench\Input;

/**
 * A table as somebody’s program saved it, made UTF-8: by its mark, by the zero bytes of UTF-16, else, where it cannot be UTF-8, as
 * Windows-1252, which holds all of Latin-1 (WHATWG Encoding Standard: what calls itself Latin-1 is read as Windows-1252). What is
 * no text at all is refused by its name.
 */
final class TableText
{
    private const FILES = [
        "PK\x03\x04" => 'a workbook (xlsx, ods) or a zip file',
        "PK\x05\x06" => 'an empty zip file',
        "\xD0\xCF\x11\xE0" => 'a workbook of an old kind (xls)',
        '%PDF' => 'a PDF',
        "\x1F\x8B" => 'a packed file (gz)',
        "\x89PNG" => 'a picture',
        "\xFF\xD8\xFF" => 'a picture',
        "7z\xBC\xAF" => 'a packed file (7z)',
    ];

    /** @throws InputError at file when it is no text */
    public static function utf8(string $bytes): string
    {
        foreach (self::FILES as $begins => $what) {
            if (str_starts_with($bytes, $begins)) {
                throw InputError::at(
                    'file',
                    "This is {$what}, not a table as text. Open it and save the sheet as CSV (“CSV UTF-8” where that is offered).",
                );
            }
        }
        $text = match (true) {
            str_starts_with($bytes, "\xEF\xBB\xBF") => substr($bytes, 3),
            str_starts_with($bytes, "\xFF\xFE") => self::from('UTF-16LE', substr($bytes, 2)),
            str_starts_with($bytes, "\xFE\xFF") => self::from('UTF-16BE', substr($bytes, 2)),
            default => self::unmarked($bytes),
        };
        if (preg_match('/[\x00-\x08\x0E-\x1F]/', $text) === 1) {
            throw InputError::at('file', 'This is no text: it holds signs that no table has. Save the sheet as CSV and send that.');
        }

        return $text;
    }

    private static function unmarked(string $bytes): string
    {
        // most letters of a table are below 256, so every other byte of UTF-16 is zero
        $start = substr($bytes, 0, 4096);
        $zeros = substr_count($start, "\0");
        if ($zeros > strlen($start) / 4) {
            $odd = 0;
            for ($i = 1, $n = strlen($start); $i < $n; $i += 2) {
                $odd += $start[$i] === "\0" ? 1 : 0;
            }

            return self::from($odd > $zeros / 2 ? 'UTF-16LE' : 'UTF-16BE', $bytes);
        }
        if (mb_check_encoding($bytes, 'UTF-8')) {
            return $bytes;
        }

        return self::from('Windows-1252', $bytes);
    }

    private static function from(string $encoding, string $bytes): string
    {
        if (str_starts_with($encoding, 'UTF-16') && (strlen($bytes) % 2 !== 0 || ! mb_check_encoding($bytes, $encoding))) {
            throw InputError::at('file', "The file begins as {$encoding} and is cut off or broken. Save it again as “CSV UTF-8”.");
        }

        return (string) mb_convert_encoding($bytes, 'UTF-8', $encoding);
    }
}
