<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use OddBench\Fleet\GroupLife;
use OddBench\Fleet\LifeGroup;
use OddBench\Fleet\Weibull;

/**
 * How long the parts of a group last, as it was worked out last. Thrown away and worked out again every night.
 *
 * @property int $id
 * @property string $part_class
 * @property int|null $part_id
 * @property string|null $family
 * @property string|null $circumstance
 * @property float $shape
 * @property float $scale_h
 * @property float $mean_h
 * @property float $low_h
 * @property float|null $high_h
 * @property 'ml'|'weibayes' $method
 * @property int $failures
 * @property int $running
 * @property float $apart
 * @property float|null $trade_h
 * @property bool $leans_on_all
 * @property Carbon|null $believed_from
 * @property string $because
 * @property array<string, int> $not_counted
 * @property Carbon $at
 */
final class LifeFit extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'leans_on_all' => 'boolean', 'believed_from' => 'date', 'not_counted' => 'array', 'at' => 'datetime',
        'shape' => 'float', 'scale_h' => 'float', 'mean_h' => 'float', 'low_h' => 'float', 'high_h' => 'float', 'trade_h' => 'float',
        'apart' => 'float',
    ];

    public function group(): LifeGroup
    {
        $make = $this->part_id === null ? null : (string) $this->part_id;

        return LifeGroup::of($this->part_class, $make, $this->family, $this->circumstance);
    }

    public function life(): GroupLife
    {
        return new GroupLife($this->group(), Weibull::of($this->shape, $this->scale_h), $this->failures, $this->running, $this->apart);
    }
}
