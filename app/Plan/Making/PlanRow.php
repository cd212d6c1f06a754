<?php

declare(strict_types=1);

namespace App\Plan\Making;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A plan as it was made.
 *
 * @phpstan-type Looked array{look: array{string, float, bool}|null, search: float, likeliest: list<string>, at: string}
 *
 * @property int $id
 * @property Carbon $made_at
 * @property int $took_ms
 * @property string $because what made it necessary
 * @property array{costs: list<string>, gains: list<string>} $changes against the one before
 * @property array<int, int> $versions how far each open job was when it was read
 * @property array<int, Looked> $looked what Find said of each
 * @property array<string, mixed> $body
 */
final class PlanRow extends Model
{
    public $timestamps = false;

    protected $table = 'plans';

    protected $guarded = [];

    protected $casts = ['made_at' => 'datetime', 'changes' => 'array', 'versions' => 'array', 'looked' => 'array', 'body' => 'array'];
}
