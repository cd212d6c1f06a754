<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use OddBench\Repair\StepBack;

/**
 * That a teardown step went back on, and what went in.
 *
 * @property int $id
 * @property int $teardown_step_id
 * @property int $job_id
 * @property array<string, int> $fasteners
 * @property list<string> $sockets
 * @property array<string, 'back'|'new'|'written-off'> $parts
 * @property bool $finished
 * @property Carbon $at
 * @property-read Person $person
 */
final class PutBack extends Model
{
    protected $table = 'teardown_backs';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['fasteners' => 'array', 'sockets' => 'array', 'parts' => 'array', 'finished' => 'boolean', 'at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    public function stepBack(int $number): StepBack
    {
        return new StepBack((string) $number, $this->fasteners, $this->sockets, $this->parts, $this->finished);
    }
}
