<?php

declare(strict_types=1);

namespace App\Intake;

use App\Machines\Machine;
use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use OddBench\Intake\JobKind;
use OddBench\Intake\Station;

/**
 * One visit of a machine to the bench.
 *
 * @property int $id
 * @property int $machine_id
 * @property JobKind $kind
 * @property Station $station
 * @property Carbon $station_since
 * @property string $complaint
 * @property string|null $screen_said
 * @property string|null $came_along
 * @property string $began
 * @property string|null $hours run in all when it came in
 * @property bool $hours_about its counter was not read then
 * @property int|null $spool_id
 * @property Carbon|null $promised_for
 * @property string|null $waits_for
 * @property string|null $waits_note
 * @property Carbon|null $waits_until
 * @property bool|null $waits_hot
 * @property Carbon|null $waits_since
 * @property bool $asked an estimate stands with its owner
 * @property string|null $find_passed_because
 * @property string|null $next_step
 * @property int|null $next_minutes
 * @property int $version
 * @property 'claim'|'mend'|null $warranty_choice
 * @property list<string>|null $service_items
 * @property Carbon $opened_at
 * @property Carbon|null $finished_at
 * @property-read Machine $machine
 * @property-read WorkSpell|null $spell
 */
final class Job extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'kind' => JobKind::class,
        'station' => Station::class,
        'station_since' => 'datetime',
        'service_items' => 'array',
        'promised_for' => 'date',
        'waits_until' => 'datetime',
        'waits_hot' => 'boolean',
        'waits_since' => 'datetime',
        'asked' => 'boolean',
        'opened_at' => 'datetime',
        'finished_at' => 'datetime',
    ];

    /** What its machine has run in all: as it came in, or as its counter was read since. The relation machine must be loaded. */
    public function hoursRun(): ?float
    {
        $read = $this->machine->hoursRun();

        return $this->hours === null ? $read : max((float) $this->hours, $read ?? 0.0);
    }

    /** Whether that is estimated, for its counter was not read at this visit. */
    public function hoursAreAbout(): bool
    {
        return $this->hours_about && (float) $this->hours > ($this->machine->hoursRun() ?? 0.0);
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /**
     * @param  iterable<mixed, int>  $machines  ids
     * @return array<int, int> machine id => its open job
     */
    public static function openOf(iterable $machines): array
    {
        /** @var array<int, int> */
        return self::query()->whereIn('machine_id', $machines)->whereNull('finished_at')->pluck('id', 'machine_id')->all();
    }

    /** @return HasMany<WorkSpell, $this> */
    public function spells(): HasMany
    {
        return $this->hasMany(WorkSpell::class);
    }

    /**
     * Whose hands are on it now.
     *
     * @return HasOne<WorkSpell, $this>
     */
    public function spell(): HasOne
    {
        return $this->hasOne(WorkSpell::class)->whereNull('ended_at');
    }

    /**
     * @param  'itself'|'part'|'person'|'claim'|'owner'|null  $for nothing: it is ready for hands again
     * @param  bool|null  $hot  something is while it runs by itself; nothing where nobody has said
     */
    public function waitFor(?string $for, ?string $note = null, ?CarbonInterface $until = null, ?bool $hot = null): void
    {
        // what it waited for already it goes on waiting for
        if ($this->waits_for !== $for) {
            $this->waits_since = $for === null ? null : now();
        }
        $this->waits_for = $for;
        $this->waits_note = $for === null || $note === null ? null : mb_substr($note, 0, 200);
        $this->setAttribute('waits_until', $for === null ? null : $until);
        $this->waits_hot = $for === 'itself' ? $hot : null;
    }

    public function isOpen(): bool
    {
        return $this->finished_at === null;
    }
}
