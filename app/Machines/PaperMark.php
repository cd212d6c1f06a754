<?php

declare(strict_types=1);

namespace App\Machines;

use Illuminate\Database\Eloquent\Model;

/**
 * A position or a socket, shown on a paper.
 *
 * @property int $id
 * @property int $paper_id
 * @property int $page
 * @property float|null $x
 * @property float|null $y
 * @property 'position'|'socket' $kind
 * @property string $code
 */
final class PaperMark extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['x' => 'float', 'y' => 'float'];
}
