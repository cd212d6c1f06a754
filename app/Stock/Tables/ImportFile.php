<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Api\CsvRows;
use App\Api\KeptFile;
use App\Api\Refused;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use OddBench\Input\InputError;
use OddBench\Input\TableText;
use OddBench\Knowledge\Knowledge;
use OddBench\Stock\StockRow;

/** Tables that come in: kept, tried so that each row’s fate can be seen, and then taken in whole, or as far as they are sound. */
final readonly class ImportFile
{
    private const CHUNK = 1000;

    public const MOST_ROWS = 100_000;

    public function __construct(private Knowledge $knowledge)
    {
    }

    /** @param  'parts'|'stock'|'movements'  $kind */
    public function keep(string $kind, string $name, string $bytes, Person $by): StockFile
    {
        if (trim($bytes) === '') {
            throw InputError::at('file', 'The file is empty. It is a table as CSV, with the names of the columns in its first row.');
        }
        $hash = hash('sha256', $bytes);
        $path = "tables/{$hash}.csv";
        KeptFile::put($path, TableText::utf8($bytes), 'file', 'file');
        $file = StockFile::query()->create([
            'kind' => $kind,
            'name' => $name,
            'path' => $path,
            'hash' => $hash,
            'person_id' => $by->id,
            'at' => now(),
        ]);
        DB::transaction(function () use ($file, $by): void {
            $fates = fopen('php://temp/maxmemory:4194304', 'r+');
            $counts = $this->run(
                $file,
                $by,
                static fn (RowFate $fate, int $line): mixed => $fates === false ? null : fputcsv(
                    $fates,
                    [$line, $fate->fate, $fate->what, $fate->field ?? '', $fate->message],
                    ',',
                    '"',
                    '',
                ),
                false,
            );
            if ($fates !== false) {
                rewind($fates);
                KeptFile::put(self::fatesOf($file), $fates, 'file', 'file');
            }
            $file->update(['counts' => $counts]);
        });

        return $file;
    }

    /**
     * @param  bool  $onlySound  rows that are wrong are left out; else nothing is taken in while there is one
     *
     * @throws Refused when it was taken in already, or something is wrong and all rows are wanted
     */
    public function apply(StockFile $file, bool $onlySound, Person $by): StockFile
    {
        return DB::transaction(function () use ($file, $onlySound, $by): StockFile {
            $file = StockFile::query()->lockForUpdate()->findOrFail($file->id);
            if ($file->applied_at !== null) {
                throw Refused::because('file', 'This table has been taken in already. Bring it in again if it should count twice.');
            }
            $counts = $this->run($file, $by, static function (RowFate $fate, int $line) use ($onlySound): void {
                if ($fate->fate === 'wrong' && ! $onlySound) {
                    throw Refused::because('rows', "Nothing was taken in. Line {$line}: {$fate->message}");
                }
            }, true);
            $file->update(['counts' => $counts, 'applied_at' => now()]);

            return $file;
        });
    }

    /**
     * A copy here that can be wound back, wherever the disk for files is.
     *
     * @return resource
     */
    public static function opened(string $path)
    {
        $copy = fopen('php://temp/maxmemory:8388608', 'r+');
        $kept = Storage::readStream($path);
        if ($copy === false || $kept === null) {
            throw Refused::notFound('file', 'The table is gone from the disk for files. Bring it in again.');
        }
        stream_copy_to_stream($kept, $copy);
        rewind($copy);

        return $copy;
    }

    public static function fatesOf(StockFile $file): string
    {
        return "tables/{$file->id}.fates.csv";
    }

    /**
     * @param  callable(RowFate, int): mixed  $say
     * @return array<string, int> fate => rows
     */
    private function run(StockFile $file, Person $by, callable $say, bool $write): array
    {
        $reader = new StockRow($this->knowledge);
        $table = $file->kind === 'parts' ? new ImportParts($reader) : new ImportMovements($reader, $file->kind, $by);
        $counts = ['new' => 0, 'changed' => 0, 'same' => 0, 'moves' => 0, 'odd' => 0, 'wrong' => 0];
        $head = null;
        /** @var array<int, array<string, string>> $chunk */
        $chunk = [];
        $flush = function () use (&$chunk, &$counts, $table, $say, $write): void {
            $read = $table->read($chunk);
            $sound = array_filter($read, is_array(...));
            $fates = $table->fates($sound);
            foreach ($read as $line => $row) {
                $fate = $row instanceof InputError ? new RowFate(
                    'wrong',
                    trim(implode(', ', array_slice(array_filter($chunk[$line]), 0, 2))),
                    $row->getMessage(),
                    $row->field,
                ) : $fates[$line];
                $counts[$fate->fate]++;
                $say($fate, $line);
            }
            if ($write) {
                $table->write(array_filter(
                    $sound,
                    static fn (int $line): bool => in_array($fates[$line]->fate, ['new', 'changed', 'moves', 'odd'], true),
                    ARRAY_FILTER_USE_KEY,
                ));
            }
            $chunk = [];
        };
        foreach (CsvRows::of(self::opened($file->path)) as $line => $cells) {
            if ($head === null) {
                $head = StockRow::head($file->kind, $cells);

                continue;
            }
            $chunk[$line] = array_map(static fn (int $place): string => $cells[$place] ?? '', array_flip($head));
            if (array_sum($counts) + count($chunk) > self::MOST_ROWS) {
                throw InputError::at('file', 'The table has more than '.self::MOST_ROWS.' rows. Bring it in in parts.');
            }
            if (count($chunk) === self::CHUNK) {
                $flush();
            }
        }
        if ($head === null) {
            throw InputError::at('file', 'The file holds no row. It is a table as CSV, with the names of the columns in its first row.');
        }
        $flush();

        return $counts;
    }
}
