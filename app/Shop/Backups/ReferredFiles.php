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

    /** @return list<string> */
    public static function of(ConnectionInterface $tables): array
    {
        $files = [];
        foreach (self::COLUMNS as $table => $column) {
            $rows = $tables->table($table)
                ->whereNotNull($column)
                ->when($table === 'papers', static fn ($q) => $q->whereNull('withdrawn_at'));
            $files = [...$files, ...array_filter($rows->pluck($column)->all(), is_string(...))];
        }

        return array_values($files);
    }

    /**
     * @param  list<string>  $files
     * @param  string  $folder  where they stand
     * @return list<string> those that are not there
     */
    public static function missing(array $files, string $folder): array
    {
        return array_values(array_filter($files, static fn (string $path): bool => ! is_file("{$folder}/{$path}")));
    }

    /** @param  list<string>  $missing */
    public static function words(array $missing): ?string
    {
        return match (count($missing)) {
            0 => null,
            1 => "A file is gone from the shop, and from its backups: {$missing[0]}.",
            default => count($missing)." files are gone from the shop, and from its backups, such as {$missing[0]}.",
        };
    }
}
