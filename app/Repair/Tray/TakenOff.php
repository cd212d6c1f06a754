<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Intake\Photograph;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use OddBench\Repair\FastenerSize;
use OddBench\Repair\FastenersOut;
use OddBench\Repair\TeardownStep;

/**
 * One thing that was taken off a machine, as it was written down.
 *
 * @property int $id
 * @property int $job_id
 * @property int $number
 * @property string $off
 * @property array<string, int> $fasteners size => count
 * @property array<string, int> $missing size => places empty on opening
 * @property list<string> $sockets
 * @property list<string> $parts
 * @property list<int> $after numbers
 * @property list<int> $before numbers
 * @property int|null $cell
 * @property string|null $into
 * @property float|null $engagement_mm
 * @property float|null $room_mm
 * @property string|null $way_round
 * @property string|null $caution
 * @property string|null $undo_first
 * @property string|null $first_pass
 * @property string|null $second_pass
 * @property string|null $check
 * @property int|null $photograph_id
 * @property int|null $guide_run_id
 * @property int|null $guide_step
 * @property Carbon $at
 * @property Carbon|null $withdrawn_at
 * @property-read PutBack|null $back
 * @property-read Person $person
 * @property-read Photograph|null $photograph
 */
final class TakenOff extends Model
{
    protected $table = 'teardown_steps';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'fasteners' => 'array',
        'missing' => 'array',
        'sockets' => 'array',
        'parts' => 'array',
        'after' => 'array',
        'before' => 'array',
        'engagement_mm' => 'float',
        'room_mm' => 'float',
        'at' => 'datetime',
        'withdrawn_at' => 'datetime',
    ];

    /** @return HasOne<PutBack, $this> */
    public function back(): HasOne
    {
        return $this->hasOne(PutBack::class, 'teardown_step_id')->whereNull('undone_at');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Photograph, $this> */
    public function photograph(): BelongsTo
    {
        return $this->belongsTo(Photograph::class);
    }

    /** @param  list<int>  $known  numbers that are not withdrawn */
    public function step(array $known): TeardownStep
    {
        $fasteners = [];
        foreach ($this->fasteners + $this->missing as $name => $_) {
            $size = FastenerSize::read($name);
            if ($size !== null) {
                $fasteners[] = new FastenersOut(
                    $size,
                    $this->fasteners[$name] ?? 0,
                    $this->missing[$name] ?? 0,
                    $this->into,
                    $this->engagement_mm,
                    $this->room_mm,
                );
            }
        }
        $numbers = static fn (array $all): array => array_map(strval(...), array_values(array_intersect($all, $known)));

        return new TeardownStep(
            (string) $this->number,
            $this->off,
            $fasteners,
            $this->sockets,
            $this->parts,
            $numbers($this->after),
            $numbers($this->before),
            $this->way_round,
            $this->caution,
            $this->undo_first,
            $this->first_pass,
            $this->second_pass,
            $this->check,
        );
    }
}
