<?php

declare(strict_types=1);

namespace OddBench\Input;

/** A row of a table, read strictly: decimal comma or point, whole pieces, no unit beside a figure. */
final readonly class Cells
{
    private const MOST = 10_000_000.0;

    /** @param  array<string, string>  $cells  column => what stands there */
    public function __construct(private array $cells)
    {
    }

    /** @throws InputError when it is empty or longer than that */
    public function text(string $column, int $longest): string
    {
        return $this->textOrNull($column, $longest) ?? throw InputError::at($column, "{$column} is missing.");
    }

    /** A text of a column, up to so many letters; nothing when the cell is empty. */
    public function textOrNull(string $column, int $longest): ?string
    {
        // a mark before words that a spreadsheet would take for a formula is not part of them
        $text = trim((string) preg_replace("/(^|[;\\t]\\s*)'(?=[=+\\-@])/", '$1', trim($this->cells[$column] ?? '')));
        if (mb_strlen($text) > $longest) {
            throw InputError::at($column, "{$column} is longer than {$longest} characters.");
        }
        if (! mb_check_encoding($text, 'UTF-8') || preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F]/', $text) === 1) {
            throw InputError::at($column, "{$column} is not written in UTF-8.");
        }

        return $text === '' ? null : $text;
    }

    /** Pieces; a length or a mass is a slip. */
    public function whole(string $column, int $least = 0): int
    {
        $figure = $this->number($column);
        if ($figure !== floor($figure)) {
            throw InputError::at($column, "{$column}: pieces are whole, not {$this->cells[$column]}.");
        }
        if ($figure < $least) {
            throw InputError::at($column, $least === 0 ? "{$column} is below zero." : "{$column} must be at least {$least}.");
        }

        return (int) $figure;
    }

    /** A whole number of a column; nothing when the cell is empty. */
    public function wholeOrNull(string $column, int $least = 0): ?int
    {
        return trim($this->cells[$column] ?? '') === '' ? null : $this->whole($column, $least);
    }

    /** A figure of a column, in a range; nothing when the cell is empty. */
    public function figureOrNull(string $column, float $least, float $most): ?float
    {
        if (trim($this->cells[$column] ?? '') === '') {
            return null;
        }
        $figure = $this->number($column);
        if ($figure < $least || $figure > $most) {
            throw InputError::at($column, "{$column} must be from {$least} to {$most}, not {$figure}.");
        }

        return $figure;
    }

    /** Money, as minor units. */
    public function moneyOrNull(string $column): ?int
    {
        if (trim($this->cells[$column] ?? '') === '') {
            return null;
        }
        $figure = $this->number($column);
        if ($figure < 0) {
            throw InputError::at($column, "{$column} is below zero.");
        }

        return (int) round($figure * 100);
    }

    private function number(string $column): float
    {
        $text = trim($this->cells[$column] ?? '');
        if ($text === '') {
            throw InputError::at($column, "{$column} is missing.");
        }
        $plain = str_replace([' ', "\u{A0}", "\u{202F}", "'"], '', str_replace('−', '-', $text));
        if (preg_match('/[a-zA-Zµ%€$£]/u', $plain) === 1) {
            throw InputError::at(
                $column,
                "{$column}: “{$text}” has a unit or a word beside it. Give the bare figure: pieces, hours, or money in the shop’s currency.",
            );
        }
        // the last of comma and point is the decimal sign when both stand there; a comma alone is one
        $comma = strrpos($plain, ',');
        $point = strrpos($plain, '.');
        $plain = match (true) {
            $comma === false => $plain,
            $point === false => substr_count($plain, ',') > 1 ? str_replace(',', '', $plain) : str_replace(',', '.', $plain),
            $comma > $point => str_replace(['.', ','], ['', '.'], $plain),
            default => str_replace(',', '', $plain),
        };
        if (! is_numeric($plain) || abs((float) $plain) > self::MOST) {
            throw InputError::at($column, "{$column}: “{$text}” is no figure.");
        }

        return (float) $plain;
    }
}
