<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Api\CsvRows;
use Illuminate\Support\Facades\Storage;
use OddBench\Stock\StockRow;

/** Tables that came in, with what becomes of their rows. */
final readonly class StockFilesQuery
{
    private const LATEST = 10;

    private const PAGE = 100;

    public function all(): StockFilesView
    {
        $files = StockFile::query()->with('person')->orderByDesc('id')->limit(self::LATEST)->get();

        return new StockFilesView(
            array_values($files->map(fn (StockFile $f): StockFileView => $this->view($f, [], null))->all()),
            (object) array_map(
                static fn (array $columns): string => implode(
                    ', ',
                    array_map(
                        static fn (string $name, bool $must): string => $must ? "{$name} (must)" : $name,
                        array_keys($columns),
                        $columns,
                    ),
                ),
                StockRow::COLUMNS,
            ),
        );
    }

    /**
     * @param  int  $after  rows to skip
     * @param  string|null  $fate  only those
     */
    public function one(StockFile $file, int $after, ?string $fate): StockFileView
    {
        $rows = [];
        $at = 0;
        $path = ImportFile::fatesOf($file);
        foreach (Storage::exists($path) ? CsvRows::of(ImportFile::opened($path)) : [] as $cells) {
            [$line, $is, $what, $field, $message] = array_pad($cells, 5, '');
            if (($fate !== null && $is !== $fate) || $at++ < $after) {
                continue;
            }
            if (count($rows) === self::PAGE) {
                return $this->view($file, $rows, $after + self::PAGE);
            }
            $rows[] = new RowFateView((int) $line, $is, $what, $field === '' ? null : $field, $message);
        }

        return $this->view($file, $rows, null);
    }

    /** @param  list<RowFateView>  $rows */
    private function view(StockFile $file, array $rows, ?int $next): StockFileView
    {
        return new StockFileView(
            $file->id,
            $file->kind,
            $file->name,
            $file->person->name,
            $file->at->toIso8601String(),
            $file->applied_at?->toIso8601String(),
            (object) ($file->counts ?? []),
            $rows,
            $next,
        );
    }
}
