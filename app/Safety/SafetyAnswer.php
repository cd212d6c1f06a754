<?php

declare(strict_types=1);

namespace App\Safety;

use Illuminate\Database\Eloquent\Model;

/**
 * An answer to a safety question; a later one to the same question counts, the earlier stays.
 *
 * @property int $id
 * @property int $job_id
 * @property string $question
 * @property bool|null $yes  null: not checked
 */
final class SafetyAnswer extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['yes' => 'boolean', 'at' => 'datetime'];
}
