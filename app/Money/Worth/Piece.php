<?php

declare(strict_types=1);

namespace App\Money\Worth;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What a machine was taken apart into, with its share of what the machine cost.
 *
 * @property int $id
 * @property int $machine_id
 * @property string $name
 * @property string|null $position
 * @property int $worth_minor
 * @property int $cost_minor
 * @property int|null $sold_minor
 * @property int|null $movement_id it went on the shelf by
 * @property Carbon|null $gone_at
 */
final class Piece extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['gone_at' => 'datetime'];
}
