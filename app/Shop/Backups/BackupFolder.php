<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;

/** Where backups stand on this machine, and a folder of its own for each that is being made or proved. */
final readonly class BackupFolder
{
    /** A folder of this name is of a process: its number stands behind it, so that what one left behind can be told. */
    private const WORK = '.work-';

    public function path(string $name = ''): string
    {
        return rtrim(dirname(storage_path()).'/backups/'.$name, '/');
    }

    /**
     * @template T
     *
     * @param  callable(string): T  $work
     * @return T
     */
    public function withWorkFolder(callable $work): mixed
    {
        $this->clearAfterTheDead();
        $folder = $this->path(self::WORK.getmypid().'-'.Str::lower(Str::random(6)));
        if (! @mkdir($folder, 0700, true)) {
            throw new BackupFailed('The folder for backups cannot be written: '.$this->path());
        }
        try {
            return $work($folder);
        } finally {
            File::deleteDirectory($folder);
        }
    }

    private function clearAfterTheDead(): void
    {
        foreach (glob($this->path(self::WORK.'*'), GLOB_ONLYDIR) ?: [] as $left) {
            $process = (int) substr(basename($left), strlen(self::WORK));
            if (! is_dir("/proc/{$process}")) {
                File::deleteDirectory($left);
            }
        }
    }
}
