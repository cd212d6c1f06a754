<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use OddBench\Intake\CameAlong;

/**
 * What came along with a machine.
 *
 * @property int $id
 * @property int $job_id
 * @property string|null $code of the list; null for what was written by hand
 * @property string $name
 * @property int $came
 * @property int $went
 * @property string|null $stays_because
 */
final class Accessory extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return Collection<int, self> of a job */
    public static function of(JobState $state): Collection
    {
        return $state->readOnce(
            'accessories',
            static fn (): Collection => self::query()->where('job_id', $state->job->id)->orderBy('id')->get(),
        );
    }

    public function judged(): CameAlong
    {
        return new CameAlong($this->name, $this->came, $this->went, $this->stays_because);
    }
}
