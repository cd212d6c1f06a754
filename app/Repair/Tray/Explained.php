<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Why something that came out is not accounted for, in words.
 *
 * @property int $id
 * @property int $job_id
 * @property string $because
 * @property list<string> $differences what it was said of
 * @property Carbon $at
 */
final class Explained extends Model
{
    protected $table = 'differences_explained';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['differences' => 'array', 'at' => 'datetime'];
}
