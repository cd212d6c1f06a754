<?php

declare(strict_types=1);

namespace App\Machines;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A manual, connector map or drawing of a family.
 *
 * @property int $id
 * @property string $family
 * @property string $title
 * @property string $path on the disk for files
 * @property string $mime
 * @property Carbon $at
 * @property-read \Illuminate\Database\Eloquent\Collection<int, PaperMark> $marks
 */
final class Paper extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime', 'withdrawn_at' => 'datetime'];

    /** @return HasMany<PaperMark, $this> */
    public function marks(): HasMany
    {
        return $this->hasMany(PaperMark::class)->orderBy('id');
    }

    public function isPicture(): bool
    {
        return $this->mime !== KeepPaper::PDF;
    }
}
