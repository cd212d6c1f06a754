<?php

declare(strict_types=1);

namespace App\Money\Buying;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A staged test of a machine on offer: what was reckoned with, and how it went.
 *
 * @property int $id
 * @property int $offer_id
 * @property int $place from 1 on
 * @property string $name
 * @property int $cost_minor
 * @property float $passes
 * @property int $fallback_minor
 * @property string $end
 * @property 'passed'|'failed'|'stopped'|null $outcome
 * @property int|null $real_minor
 * @property Carbon|null $done_at
 */
final class OfferStage extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['passes' => 'float', 'done_at' => 'datetime'];
}
