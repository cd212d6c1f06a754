<?php

declare(strict_types=1);

namespace App\Release;

use Illuminate\Database\Eloquent\Model;

/**
 * How a job ended and who signed for it.
 *
 * @property int $id
 * @property int $job_id
 * @property string $destination
 * @property string|null $note
 * @property string|null $danger
 * @property int|null $price_minor
 */
final class Release extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];
}
