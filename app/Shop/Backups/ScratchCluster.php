<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;

/** A database cluster that stands for as long as a backup is being proved; only its own folder leads into it. */
final readonly class ScratchCluster
{
    private const NAME = 'proof';

    private const USER = 'odd_bench';

    private const PORT = '5432';

    public function __construct(private string $folder)
    {
    }

    /**
     * @template T
     *
     * @param  callable(Connection): T  $work
     * @return T
     *
     * @throws BackupFailed
     */
    public function with(string $dump, callable $work): mixed
    {
        $this->start();
        try {
            Tool::run('It cannot be restored', [
                Tool::POSTGRES.'/pg_restore', '--no-owner', '--exit-on-error', "--host={$this->folder}", '--port='.self::PORT,
                '--username='.self::USER, '--dbname='.self::NAME, $dump,
            ], $this->folder);
            Config::set('database.connections.'.self::NAME, [
                ...Config::array('database.connections.pgsql'),
                'host' => $this->folder,
                'port' => self::PORT,
                'database' => self::NAME,
                'username' => self::USER,
                'sslmode' => 'disable',
                'options' => [],
            ]);

            return $work(DB::connection(self::NAME));
        } finally {
            DB::purge(self::NAME);
            rescue(fn () => $this->control('stop', '-m', 'immediate'), report: false);
        }
    }

    /** What the audit of the stock says there. */
    public function audit(): string
    {
        return Tool::run('The stock in it does not agree', [PHP_BINARY, 'artisan', 'odd-bench:audit'], base_path(), [
            'DB_HOST' => $this->folder,
            'DB_PORT' => self::PORT,
            'DB_DATABASE' => self::NAME,
            'DB_USERNAME' => self::USER,
            'DB_SSLMODE' => 'disable',
        ]);
    }

    private function start(): void
    {
        Tool::run('A place to prove it cannot be made', [
            Tool::POSTGRES.'/initdb',
            '-D',
            "{$this->folder}/pg",
            '-U',
            self::USER,
            '--encoding=UTF8',
            '--locale=C.UTF-8',
            '--auth=trust',
            '--no-sync',
        ], $this->folder);
        // nothing of it lasts, so nothing of it waits for the disk
        $settings = "-c listen_addresses='' -c unix_socket_directories='{$this->folder}'"
            .' -c port='.self::PORT.' -c fsync=off -c max_connections=8 -c shared_buffers=32MB -c jit=off';
        $this->control('start', '-w', '-l', "{$this->folder}/log", '-o', $settings);
        Tool::run('A place to prove it cannot be made', [
            Tool::POSTGRES.'/createdb', "--host={$this->folder}", '--port='.self::PORT, '--username='.self::USER, self::NAME,
        ], $this->folder);
    }

    private function control(string $what, string ...$how): void
    {
        Tool::run(
            'A place to prove it does not start',
            [Tool::POSTGRES.'/pg_ctl', $what, '-D', "{$this->folder}/pg", ...$how],
            $this->folder,
        );
    }
}
