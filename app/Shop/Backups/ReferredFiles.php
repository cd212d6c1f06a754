<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use Illuminate\Database\ConnectionInterface;

/** Every file a shop’s tables speak of. */
final readonly class ReferredFiles
{
    private const COLUMNS = [
        'photographs' => 'path',
        'papers' => 'path',
        'parts' => 'photo',
        'recipes' => 'file',
        'stock_files' => 'path',
        'families' => 'picture',
    ];

    /**
     * @param  string  $folder  where the files stand
     * @return list<string> those that are not there
     */
    public static function missing(ConnectionInterface $tables, string $folder): array
    {
        $missing = [];
        foreach (self::COLUMNS as $table => $column) {
            $rows = $tables->table($table)
                ->whereNotNull($column)
                ->when($table === 'papers', static fn ($q) => $q->whereNull('withdrawn_at'));
            foreach ($rows->pluck($column) as $path) {
                if (is_string($path) && ! is_file("{$folder}/{$path}")) {
                    $missing[] = $path;
                }
            }
        }

        return $missing;
    }
}
