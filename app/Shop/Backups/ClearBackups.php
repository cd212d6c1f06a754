<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use DateTimeImmutable;
use Illuminate\Support\Facades\Config;
use OddBench\Shop\BackupRotation;

/** Takes away the backups whose time has passed, here and in the second place; those somebody asked for stay. */
final readonly class ClearBackups
{
    /** Of those made before something else, the newest so many stay. */
    private const OTHERS = 5;

    public function __construct(private BackupFolder $folder)
    {
    }

    public function clear(): void
    {
        foreach (array_filter([$this->folder->path(), Config::string('odd-bench.backup_to')]) as $place) {
            $nightly = $this->in($place, BackupKind::Nightly);
            $go = array_map(static fn (DateTimeImmutable $at): string => $at->format('c'), BackupRotation::mayGo(array_values($nightly)));
            foreach ($nightly as $file => $at) {
                if (in_array($at->format('c'), $go, true)) {
                    @unlink($file);
                }
            }
            foreach ([BackupKind::Update, BackupKind::Restore] as $kind) {
                foreach (array_slice(array_keys($this->in($place, $kind)), self::OTHERS) as $file) {
                    @unlink($file);
                }
            }
        }
    }

    /** @return array<string, DateTimeImmutable> newest first */
    private function in(string $place, BackupKind $kind): array
    {
        $found = [];
        foreach (glob("{$place}/{$kind->value}-*.tar*") ?: [] as $file) {
            if (preg_match('/-(\d{4}-\d\d-\d\d-\d{6})\.tar(\.age)?$/', $file, $at) === 1) {
                $made = DateTimeImmutable::createFromFormat('!Y-m-d-His', $at[1]);
                if ($made !== false) {
                    $found[$file] = $made;
                }
            }
        }
        arsort($found);

        return $found;
    }
}
