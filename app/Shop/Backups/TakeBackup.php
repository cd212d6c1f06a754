<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use App\Shop\Setting;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Schema;
use Throwable;

/** Makes a backup, proves it, encrypts it where a key is set, and copies it to where it is out of harm. */
final readonly class TakeBackup
{
    public function __construct(
        private BackupFolder $folder,
        private Snapshot $snapshot,
        private Archive $archive,
        private ProveBackup $proof,
    ) {
    }

    /**
     * @return Backup with a problem when none came of it: then nothing is left of it
     *
     * @throws Throwable when not even that could be kept
     */
    public function take(BackupKind $kind, bool $proved = true): Backup
    {
        $backup = new Backup(['kind' => $kind, 'began_at' => now()]);
        $name = sprintf('%s-%s.tar', $kind->value, now()->setTimezone(Setting::text('zone'))->format('Y-m-d-His'));
        try {
            $this->folder->withWorkFolder(function (string $work) use ($backup, $name, $proved): void {
                [$rows, $missing] = $this->snapshot->take($work);
                $made = "{$work}/{$name}";
                $this->archive->write($work, $rows, $missing, $made);
                if ($proved) {
                    $this->proof->prove($made, $work);
                    $backup->proved_at = now();
                }
                $put = $this->putAway($made, $name);
                // what the shop has lost is no reason to lose the rest of it as well
                $problem = implode(' ', array_filter([ReferredFiles::words($missing), $put['problem']]));
                $backup->fill(['problem' => $problem === '' ? null : $problem] + $put);
            });
        } catch (BackupFailed $e) {
            $backup->fill(['file' => null, 'bytes' => null, 'proved_at' => null, 'problem' => $e->getMessage()]);
        }
        // tables of a release that kept no list of them are backed up too, before they change
        if (Schema::hasTable('backups')) {
            $backup->save();
        }

        return $backup;
    }

    /** @return array{file: string, bytes: int, problem: string|null} */
    private function putAway(string $made, string $name): array
    {
        $key = Config::string('odd-bench.backup_key');
        if ($key !== '') {
            Tool::run(
                'It cannot be encrypted',
                ['age', '--encrypt', '--recipient', $key, '--output', "{$made}.age", $made],
                dirname($made),
            );
            unlink($made);
            $made .= '.age';
            $name .= '.age';
            chmod($made, 0600);
        }
        if (! rename($made, $this->folder->path($name))) {
            throw new BackupFailed('It cannot be put into '.$this->folder->path());
        }

        return ['file' => $name, 'bytes' => (int) filesize($this->folder->path($name)), 'problem' => $this->copyAway($name)];
    }

    /** A second place, where a disk that dies does not take the backup with it. @return string|null what went wrong */
    private function copyAway(string $name): ?string
    {
        $to = Config::string('odd-bench.backup_to');
        if ($to === '') {
            return null;
        }
        $copied = rescue(function () use ($to, $name): bool {
            $part = "{$to}/{$name}.part";
            $whole = is_dir($to) && File::copy($this->folder->path($name), $part)
                && hash_file('sha256', $part) === hash_file('sha256', $this->folder->path($name));
            if ($whole) {
                // where the other disk knows of such things
                @chmod($part, 0600);
            }

            return $whole && rename($part, "{$to}/{$name}");
        }, false, report: false);

        return $copied ? null : "It stands on this machine; {$to} did not take a copy of it.";
    }
}
