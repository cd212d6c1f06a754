<?php

declare(strict_types=1);

namespace App\Api;

use Illuminate\Database\Connectors\PostgresConnector;
use PDO;
use PDOException;

/**
 * Connects to PostgreSQL; a connection that a process keeps between requests is cleaned before it is used again, of a
 * transaction, settings, locks and temporary tables that whoever had it last may have left.
 */
final class KeptConnection extends PostgresConnector
{
    /**
     * @param  array<string, mixed>  $config
     * @param  array<mixed>  $options
     */
    public function createConnection($dsn, array $config, array $options): PDO
    {
        $pdo = parent::createConnection($dsn, $config, $options);
        if (($options[PDO::ATTR_PERSISTENT] ?? false) !== true) {
            return $pdo;
        }
        try {
            self::clean($pdo);

            return $pdo;
        } catch (PDOException) {
            // the server closed it while nobody looked
            return parent::createConnection($dsn, $config, [PDO::ATTR_PERSISTENT => false] + $options);
        }
    }

    /** @throws PDOException when it is gone */
    public static function clean(PDO $pdo): void
    {
        if ($pdo->inTransaction()) {
            $pdo->rollBack();
        }
        $pdo->exec('DISCARD ALL');
    }
}
