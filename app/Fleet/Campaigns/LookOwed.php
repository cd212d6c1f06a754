<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Machines\Machine;
use App\Machines\Place;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One machine on a campaign.
 *
 * @property int $id
 * @property int $campaign_id
 * @property int $machine_id
 * @property bool|null $affected null until somebody looked
 * @property string|null $note
 * @property Carbon|null $looked_at
 * @property float|null $risk that it fails of it soon, 0 to 1; nothing when nobody knows
 * @property float $harm how much worse it is there than on the bench
 * @property Carbon|null $mended_at
 * @property Carbon|null $letter_at when its owner was written to
 * @property-read Machine $machine
 * @property-read Campaign $campaign
 * @property-read Person|null $lookedBy
 */
final class LookOwed extends Model
{
    public $timestamps = false;

    protected $table = 'looks_owed';

    protected $guarded = [];

    protected $casts = [
        'affected' => 'boolean', 'looked_at' => 'datetime', 'mended_at' => 'datetime', 'letter_at' => 'datetime',
        'risk' => 'float', 'harm' => 'float',
    ];

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Campaign, $this> */
    public function campaign(): BelongsTo
    {
        return $this->belongsTo(Campaign::class, 'campaign_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function lookedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'looked_by');
    }

    /** Whether an owner must be told: it was found on theirs, or it is dangerous and theirs runs where nobody of the shop looks. */
    public function owesLetter(bool $dangerous): bool
    {
        $unlooked = $dangerous && $this->looked_at === null && $this->machine->place === 'owner';

        return $this->machine->owner_id !== null && $this->letter_at === null && ($this->affected === true || $unlooked);
    }

    /** Whether it stands here and may have what the campaign is about: nobody looked, or it was found and is not put right. */
    public function mayHaveIt(): bool
    {
        return Place::from($this->machine->place)->isHere()
            && ($this->looked_at === null || ($this->affected === true && $this->mended_at === null));
    }
}
