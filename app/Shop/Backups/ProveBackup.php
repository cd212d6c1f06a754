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
            $this->count($tables, "{$in}/manifest.json");
            $missing = ReferredFiles::missing($tables, "{$in}/files");
            if ($missing !== []) {
                throw new BackupFailed(count($missing).' files the tables speak of are not in it, such as '.$missing[0].'.');
            }

            return trim($cluster->audit());
        });
    }

    private function count(Connection $tables, string $manifest): void
    {
        $told = json_decode((string) file_get_contents($manifest), true, flags: JSON_THROW_ON_ERROR);
        $rows = is_array($told) && is_array($told['rows'] ?? null) ? $told['rows'] : [];
        foreach ($rows as $table => $count) {
            $found = $tables->table((string) $table)->count();
            if ($found !== $count) {
                throw new BackupFailed("{$table} should hold {$count} rows and holds {$found}.");
            }
        }
    }
}
