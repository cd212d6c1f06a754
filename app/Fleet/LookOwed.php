<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Machines\Machine;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One machine on a look-list.
 *
 * @property int $id
 * @property int $look_list_id
 * @property int $machine_id
 * @property bool|null $affected null until somebody looked
 * @property string|null $note
 * @property Carbon|null $looked_at
 * @property-read Machine $machine
 * @property-read LookList $list
 * @property-read Person|null $lookedBy
 */
final class LookOwed extends Model
{
    public $timestamps = false;

    protected $table = 'looks_owed';

    protected $guarded = [];

    protected $casts = ['affected' => 'boolean', 'looked_at' => 'datetime'];

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<LookList, $this> */
    public function list(): BelongsTo
    {
        return $this->belongsTo(LookList::class, 'look_list_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function lookedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'looked_by');
    }
}
