<?php

declare(strict_types=1);

namespace OddBench\Repair;

use OddBench\Input\InputError;

/** Reads fasteners as they are typed at the bench: “4 M3x12, 2 M3 washer + 1 spring”. */
final class FastenerList
{
    private const MOST = 200;

    /**
     * @return array<string, int> size => count, in the order typed; the same size twice is added up
     *
     * @throws InputError names the piece that cannot be read and says what can
     */
    public static function read(string $text, string $field = 'fasteners'): array
    {
        // “M2,5x8” is one size, “M3x12, 2 M5x20” are two
        $text = (string) preg_replace('/(M\d),(\d+)(?=\s*[x×*])/iu', '$1.$2', trim($text));
        $counts = [];
        foreach (preg_split('/\s*(?:[,;+\n]|\band\b|&)\s*/u', $text) ?: [] as $piece) {
            if ($piece === '') {
                continue;
            }
            [$count, $size] = self::piece($piece, $field);
            $counts[$size] = ($counts[$size] ?? 0) + $count;
            if ($counts[$size] > self::MOST) {
                throw InputError::at($field, "{$counts[$size]} {$size} in one step: up to ".self::MOST.' are counted.');
            }
        }

        return $counts;
    }

    /** @return array{int, string} */
    private static function piece(string $piece, string $field): array
    {
        $given = '1';
        $size = $piece;
        if (preg_match('/^([+-]?\d+(?:[.,]\d+)?)\s*(?:[x×*]\s+|[x×*](?=M)|\s)\s*(.+)$/iu', $piece, $found) === 1) {
            [, $given, $size] = $found;
        } elseif (preg_match('/^(.+?)\s+[x×*]\s*(\d+)$/iu', $piece, $found) === 1) {
            [, $size, $given] = $found;
        }
        if (preg_match('/^\d+$/', $given) !== 1 || (int) $given < 1) {
            throw InputError::at($field, "“{$piece}”: a count is a whole number from 1 on, not {$given}.");
        }
        $known = FastenerSize::read($size);
        if ($known === null) {
            throw InputError::at($field, "“{$piece}” cannot be read. ".FastenerSize::readable());
        }

        return [(int) $given, $known->name];
    }

    /** @param  array<string, int>  $counts */
    public static function words(array $counts): string
    {
        return implode(', ', array_map(static fn (string $size, int $count): string => "{$count} {$size}", array_keys($counts), $counts));
    }
}
