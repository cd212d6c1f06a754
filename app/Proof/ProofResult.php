<?php

declare(strict_types=1);

namespace App\Proof;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * How a proof went.
 *
 * @property int $id
 * @property int $job_id
 * @property string $proof
 * @property bool $passed
 * @property float|null $value
 * @property string|null $unit
 * @property string|null $waived_because
 * @property string|null $note
 * @property string|null $log
 * @property int|null $photograph_id
 * @property Carbon $at
 * @property-read Person $person
 */
final class ProofResult extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['passed' => 'boolean', 'at' => 'datetime', 'value' => 'float'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
