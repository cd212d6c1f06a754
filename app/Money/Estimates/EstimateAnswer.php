<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Shop\Person;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use OddBench\Money\OwnerSaid;
use OddBench\Money\Price;

/**
 * What an owner answered; never changed.
 *
 * @property int $id
 * @property int $estimate_id
 * @property OwnerSaid $answer
 * @property int|null $up_to_minor
 * @property string $said_by
 * @property string $way
 * @property bool $late it came when the work was done
 * @property int|null $person_id who took it down; nobody when its owner wrote it on the page
 * @property Carbon $at
 * @property string|null $address where it was written from, when its owner wrote it
 * @property-read Person|null $person
 */
final class EstimateAnswer extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['answer' => OwnerSaid::class, 'at' => 'datetime', 'late' => 'boolean'];

    /** What was answered, with its sum. */
    public function words(): string
    {
        return $this->answer->words().($this->up_to_minor === null ? '' : ' '.Price::words($this->up_to_minor));
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
