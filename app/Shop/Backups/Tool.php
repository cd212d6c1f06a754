<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use Illuminate\Support\Facades\Process;

/** Runs a program of the system and says in words when it did not do its work. */
final class Tool
{
    public const POSTGRES = '/usr/lib/postgresql/15/bin';

    private const SECONDS = 6 * 3600;

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     *
     * @throws BackupFailed
     */
    public static function run(string $what, array $command, string $in, array $environment = []): string
    {
        $done = Process::path($in)->timeout(self::SECONDS)->env($environment)->run($command);
        if ($done->failed()) {
            throw new BackupFailed("{$what}: ".mb_substr(trim($done->errorOutput() ?: $done->output()), -500));
        }

        return $done->output();
    }
}
