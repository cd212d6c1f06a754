<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use App\Shop\Setting;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use OddBench\Shop\BackupArchive;
use Symfony\Component\Finder\Finder;

/**
 * A backup as it stands on a disk: a tar of manifest.json, database.dump (pg_dump’s custom form), files/, secrets.env and settings,
 * the SHA-256 of each in sums, and a seal of these with the shop’s key.
 */
final readonly class Archive
{
    private const VERSION = 1;

    /**
     * @param  array<string, int>  $rows  of each table
     * @param  list<string>  $missing  files these speak of that the shop has lost
     */
    public function write(string $folder, array $rows, array $missing, string $to): void
    {
        File::put("{$folder}/manifest.json", json_encode([
            'what' => 'a backup of Odd Bench',
            'version' => self::VERSION,
            'shop' => Setting::text('shop_name'),
            'real' => Config::boolean('odd-bench.real'),
            'madeAt' => now()->toIso8601String(),
            'lastMigration' => DB::table('migrations')->max('migration'),
            'rows' => $rows,
            'missing' => $missing,
        ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE)."\n");
        File::put("{$folder}/secrets.env", 'APP_KEY='.Config::string('app.key')."\n");
        $settings = dirname(storage_path()).'/etc/settings';
        File::put("{$folder}/settings", is_readable($settings) ? File::get($settings) : '');
        if (! is_dir("{$folder}/files")) {
            mkdir("{$folder}/files", 0700);
        }
        $sums = self::sums($folder);
        File::put("{$folder}/sums", $sums);
        File::put("{$folder}/seal", BackupArchive::seal($sums, Config::string('app.key'))."\n");
        Tool::run('The backup cannot be written', [
            'tar', '--create', '--file', $to, '--directory', $folder, '--owner=0', '--group=0', '--numeric-owner',
            'manifest.json', 'sums', 'seal', 'secrets.env', 'settings', 'database.dump', 'files',
        ], $folder);
        chmod($to, 0600);
    }

    /** What somebody else can check it by: `sha256sum --check sums`. */
    private static function sums(string $folder): string
    {
        $sums = '';
        foreach (Finder::create()->files()->in($folder)->notPath('~^(sums|seal)$~')->sortByName() as $file) {
            $sums .= hash_file('sha256', $file->getPathname())."  {$file->getRelativePathname()}\n";
        }

        return $sums;
    }
}
