<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use Illuminate\Database\Connection;

/** A backup is one when a shop came out of it: it is unpacked and restored into a scratch cluster, counted and audited. */
final readonly class ProveBackup
{
    /**
     * @return string in words, what is in it
     *
     * @throws BackupFailed with what is not as it should be
     */
    public function prove(string $archive, string $folder): string
    {
        $in = "{$folder}/proof";
        if (! mkdir($in, 0700)) {
            throw new BackupFailed("{$in} cannot be made.");
        }
        Tool::run('It cannot be unpacked', ['tar', '--extract', '--file', $archive, '--directory', $in], $in);
        Tool::run('Something in it is not what was put in', ['sha256sum', '--check', '--quiet', 'sums'], $in);
        $cluster = new ScratchCluster($in);

        return $cluster->with("{$in}/database.dump", function (Connection $tables) use ($in, $cluster): string {
            $told = json_decode((string) file_get_contents("{$in}/manifest.json"), true, flags: JSON_THROW_ON_ERROR);
            $told = is_array($told) ? $told : [];
            $this->count($tables, is_array($told['rows'] ?? null) ? $told['rows'] : []);
            $gone = array_filter((array) ($told['missing'] ?? []), is_string(...));
            $missing = array_values(array_diff(ReferredFiles::missing(ReferredFiles::of($tables), "{$in}/files"), $gone));
            if ($missing !== []) {
                throw new BackupFailed(count($missing).' files the tables speak of are not in it, such as '.$missing[0].'.');
            }

            return trim($cluster->audit());
        });
    }

    /** @param  array<mixed>  $rows  table => how many rows it should hold */
    private function count(Connection $tables, array $rows): void
    {
        foreach ($rows as $table => $count) {
            $found = $tables->table((string) $table)->count();
            if ($found !== $count) {
                throw new BackupFailed("{$table} should hold {$count} rows and holds {$found}.");
            }
        }
    }
}
