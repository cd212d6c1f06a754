<?php

declare(strict_types=1);

namespace App\Shop\Backups;

/** Why a backup is made. */
enum BackupKind: string
{
    case Nightly = 'nightly';
    /** before an update changes the tables */
    case Update = 'update';
    /** of what was here, before another one is put in its place */
    case Restore = 'restore';
    /** somebody asked for it */
    case Hand = 'hand';
}
