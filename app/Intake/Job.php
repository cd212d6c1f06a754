<?php

declare(strict_types=1);

namespace App\Intake;

use App\Diagnosis\Confirmed;
use App\Diagnosis\JobFinding;
use App\Machines\Machine;
use App\Machines\RailTurn;
use App\Proof\ProofResult;
use App\Release\Release;
use App\Repair\Explained;
use App\Repair\GuideRun;
use App\Repair\Mend;
use App\Repair\TakenOff;
use App\Repair\Timer;
use App\Safety\SafetyAnswer;
use App\Stock\Movement;
use App\Stock\Spool;
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
 * @property string|null $hours
 * @property Carbon|null $promised_for
 * @property string|null $waits_for
 * @property string|null $waits_note
 * @property Carbon|null $waits_until
 * @property string|null $find_passed_because
 * @property string|null $next_step
 * @property int|null $next_minutes
 * @property int $version
 * @property 'claim'|'mend'|null $warranty_choice
 * @property list<string>|null $service_items
 * @property Carbon $opened_at
 * @property Carbon|null $finished_at
 * @property-read Machine $machine
 * @property-read Release|null $release
 * @property-read Spool|null $spool
 * @property-read WorkSpell|null $spell
 * @property-read \Illuminate\Database\Eloquent\Collection<int, JobFinding> $findings
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Confirmed> $confirmed
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Confirmed> $diagnoses
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Mend> $mends
 * @property-read \Illuminate\Database\Eloquent\Collection<int, ProofResult> $proofResults
 * @property-read \Illuminate\Database\Eloquent\Collection<int, SafetyAnswer> $safetyAnswers
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Movement> $movements
 * @property-read \Illuminate\Database\Eloquent\Collection<int, TakenOff> $takenOff
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Explained> $explained
 * @property-read \Illuminate\Database\Eloquent\Collection<int, RailTurn> $railTurns
 * @property-read \Illuminate\Database\Eloquent\Collection<int, GuideRun> $guideRuns
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Timer> $timers
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
        'opened_at' => 'datetime',
        'finished_at' => 'datetime',
    ];

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Spool, $this> */
    public function spool(): BelongsTo
    {
        return $this->belongsTo(Spool::class);
    }

    /** @return HasMany<JobFinding, $this> */
    public function findings(): HasMany
    {
        return $this->hasMany(JobFinding::class)->whereNull('withdrawn_at')->orderBy('id');
    }

    /** @return HasMany<Confirmed, $this> */
    public function confirmed(): HasMany
    {
        return $this->hasMany(Confirmed::class)->whereNull('superseded_at')->orderBy('id');
    }

    /** @return HasMany<Confirmed, $this> */
    public function diagnoses(): HasMany
    {
        return $this->hasMany(Confirmed::class)->orderBy('id');
    }

    /** @return HasMany<Mend, $this> */
    public function mends(): HasMany
    {
        return $this->hasMany(Mend::class)->orderBy('id');
    }

    /** @return HasMany<ProofResult, $this> */
    public function proofResults(): HasMany
    {
        return $this->hasMany(ProofResult::class)->orderBy('id');
    }

    /** @return HasMany<SafetyAnswer, $this> */
    public function safetyAnswers(): HasMany
    {
        return $this->hasMany(SafetyAnswer::class)->orderBy('id');
    }

    /** @return HasMany<Movement, $this> */
    public function movements(): HasMany
    {
        return $this->hasMany(Movement::class)->orderBy('id');
    }

    /**
     * What is on its tray, in the order it came off.
     *
     * @return HasMany<TakenOff, $this>
     */
    public function takenOff(): HasMany
    {
        return $this->hasMany(TakenOff::class)->whereNull('withdrawn_at')->orderBy('number');
    }

    /** @return HasMany<Explained, $this> */
    public function explained(): HasMany
    {
        return $this->hasMany(Explained::class);
    }

    /** @return HasMany<RailTurn, $this> */
    public function railTurns(): HasMany
    {
        return $this->hasMany(RailTurn::class);
    }

    /** @return HasMany<GuideRun, $this> */
    public function guideRuns(): HasMany
    {
        return $this->hasMany(GuideRun::class)->orderBy('id');
    }

    /**
     * Those nobody stopped.
     *
     * @return HasMany<Timer, $this>
     */
    public function timers(): HasMany
    {
        return $this->hasMany(Timer::class)->whereNull('stopped_at')->orderBy('rings_at');
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

    /** @return HasOne<Release, $this> */
    public function release(): HasOne
    {
        return $this->hasOne(Release::class);
    }

    public function isOpen(): bool
    {
        return $this->finished_at === null;
    }
}
