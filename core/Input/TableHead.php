<?php

declare(strict_types=1);

namespace OddBench\Input;

/** The first row of a table, which names its columns. */
final class TableHead
{
    /**
     * @param  array<string, bool>  $known  column => whether it must be there
     * @param  list<string>  $readOnly  columns that are written out for people and not read back
     * @param  string  $what  such as “a table of parts”, for the message
     * @param  list<string>  $head  columns as they stand in the file
     * @return array<int, string> place => column, those that are read
     *
     * @throws InputError at file, for a column that is not known, twice there or missing
     */
    public static function read(array $known, array $readOnly, string $what, array $head): array
    {
        $columns = [];
        foreach ($head as $place => $name) {
            $column = str_replace([' ', '-'], '_', mb_strtolower(trim($name)));
            if (isset($known[$column])) {
                if (in_array($column, $columns, true)) {
                    throw InputError::at('file', "The column “{$name}” stands twice in the first row.");
                }
                $columns[$place] = $column;
            } elseif ($column !== '' && ! in_array($column, $readOnly, true)) {
                $nearest = Nearest::to($column, array_keys($known));
                throw InputError::at(
                    'file',
                    "The first row has a column “{$name}” that {$what} does not have."
                        .($nearest === null ? ' It has: '.implode(', ', array_keys($known)).'.' : " Is it “{$nearest}”?"),
                );
            }
        }
        $missing = array_keys(array_filter(
            $known,
            static fn (bool $must, string $column): bool => $must && ! in_array($column, $columns, true),
            ARRAY_FILTER_USE_BOTH,
        ));
        if ($missing !== []) {
            throw InputError::at(
                'file',
                'The first row lacks the column '.implode(', ', $missing).'. It names the columns: '.implode(', ', array_keys($known)).'.',
            );
        }

        return $columns;
    }
}
