<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use RuntimeException;

/** A backup could not be made or does not hold what it should; the message says what and why. */
final class BackupFailed extends RuntimeException
{
}
