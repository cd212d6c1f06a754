<?php

declare(strict_types=1);

namespace App\Shop\Backups;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A backup that was tried.
 *
 * @property int $id
 * @property BackupKind $kind
 * @property string|null $file its name; null when none came of it
 * @property int|null $bytes
 * @property Carbon $began_at
 * @property Carbon|null $proved_at it was restored, and all of it was there
 * @property string|null $problem
 */
final class Backup extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['kind' => BackupKind::class, 'began_at' => 'datetime', 'proved_at' => 'datetime'];
}
