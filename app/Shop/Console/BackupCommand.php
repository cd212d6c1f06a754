<?php

declare(strict_types=1);

namespace App\Shop\Console;

use App\Shop\Backups\Backup;
use App\Shop\Backups\BackupFolder;
use App\Shop\Backups\BackupKind;
use App\Shop\Backups\ClearBackups;
use App\Shop\Backups\TakeBackup;
use App\Shop\ShopDay;
use Illuminate\Console\Command;

/** Makes a backup and proves it; `bin/odd-bench backup` calls it, and the clock every hour. */
final class BackupCommand extends Command
{
    /** A night's backup is made from this hour of the shop on; when the machine was off, as soon as it is on. */
    private const FROM_HOUR = 2;

    protected $signature = 'odd-bench:backup
        {--due : only when the night’s is not made yet}
        {--kind=hand : why: hand, update or restore}
        {--unproved : quick, before something that can wait for it and not for its proof}';

    protected $description = 'Back up the shop, and prove the backup by restoring it';

    public function handle(TakeBackup $take, ClearBackups $clear, BackupFolder $folder, ShopDay $day): int
    {
        if ($this->option('due') && ! $this->isDue($day)) {
            return self::SUCCESS;
        }
        $kind = $this->option('due') ? BackupKind::Nightly : BackupKind::tryFrom((string) $this->option('kind'));
        if ($kind === null) {
            $this->error('There is no such kind of backup: hand, update or restore.');

            return self::INVALID;
        }
        $backup = $take->take($kind, ! $this->option('unproved'));
        $clear->clear();
        if ($backup->problem !== null) {
            $this->error($backup->problem);
        }
        if ($backup->file === null) {
            return self::FAILURE;
        }
        $this->line($folder->path($backup->file));

        return self::SUCCESS;
    }

    private function isDue(ShopDay $day): bool
    {
        $now = now()->setTimezone($day->zone());
        if ($now->hour < self::FROM_HOUR) {
            return false;
        }

        return ! Backup::query()->where('kind', BackupKind::Nightly)
            ->whereNotNull('proved_at')
            ->where('began_at', '>=', $now->startOfDay())
            ->exists();
    }
}
