<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Intake\Job;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use OddBench\Proof\Run\RunStage;

/**
 * A proof run with a connected printer.
 *
 * @property int $id
 * @property int $job_id
 * @property int $machine_id
 * @property list<string> $stages
 * @property 'waiting'|'running'|'asking'|'passed'|'failed'|'stopped'|'lost' $state
 * @property string|null $stage
 * @property string|null $question
 * @property list<string>|null $choices
 * @property array<string, array{passed: bool, words: string, value: float|null, rise: float|null, finding: string|null, danger: bool}> $results
 * @property string|null $said
 * @property bool $stop_asked
 * @property string|null $address
 * @property 'cold'|'hot'|'cooling'|'unconfirmed'|'off' $heat
 * @property float|null $hotend_c
 * @property float|null $bed_c
 * @property Carbon|null $measured_at
 * @property int|null $unplugged_by
 * @property Carbon $began_at
 * @property Carbon|null $stage_since
 * @property Carbon|null $ended_at
 * @property Carbon|null $seen_at
 * @property-read Job $job
 * @property-read Person $person
 */
final class ProofRun extends Model
{
    /** States of a run that is not over. */
    public const ON = ['waiting', 'running', 'asking'];

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'stages' => 'array',
        'choices' => 'array',
        'results' => 'array',
        'stop_asked' => 'boolean',
        'began_at' => 'datetime',
        'stage_since' => 'datetime',
        'ended_at' => 'datetime',
        'seen_at' => 'datetime',
        'measured_at' => 'datetime',
        'hotend_c' => 'float',
        'bed_c' => 'float',
    ];

    /** @return list<RunStage> what is still to come, and what is on; a stage of an older release is not known */
    public function left(): array
    {
        return array_values(array_filter(array_map(
            RunStage::tryFrom(...),
            array_diff($this->stages, array_keys($this->results)),
        )));
    }

    /** About how many s are left, people’s answers apart. */
    public function remainingS(): float
    {
        $in = $this->stage_since === null ? 0 : now()->getTimestamp() - $this->stage_since->getTimestamp();
        $left = 0.0;
        foreach ($this->left() as $stage) {
            $left += $stage->value === $this->stage ? max(0.0, $stage->aboutS() - $in) : $stage->aboutS();
        }

        return $left;
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
