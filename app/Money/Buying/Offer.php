<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Intake\JobState;
use App\Machines\Machine;
use App\Shop\Person;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use OddBench\Money\BidCase;
use OddBench\Money\BidStage;

/**
 * A broken machine on offer, and what became of it.
 *
 * @property int $id
 * @property string $family
 * @property string $seller
 * @property string $says
 * @property list<string> $findings codes of what the seller’s words mean
 * @property string|null $missing what is not with it
 * @property int|null $asked_minor
 * @property int $freight_minor
 * @property int $missing_minor what is missing costs
 * @property int $selling_minor
 * @property int $sells_minor mended
 * @property int|null $single_minor mended, without its feeder
 * @property int $parts_minor in parts
 * @property int $margin_minor
 * @property 'open'|'bought'|'let-go' $state
 * @property int|null $bought_minor
 * @property int|null $most_minor what the most to pay was when it was decided
 * @property string|null $let_go_because
 * @property int|null $machine_id
 * @property int $version
 * @property Carbon $at
 * @property Carbon|null $decided_at
 * @property-read Machine|null $machine
 * @property-read Person $person
 * @property-read Collection<int, OfferStage> $stages
 */
final class Offer extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['findings' => 'array', 'at' => 'datetime', 'decided_at' => 'datetime'];

    /** The one its machine was bought by. */
    public static function ofJob(JobState $state): ?self
    {
        return $state->readOnce('offer', static fn (): ?self => self::query()->where('machine_id', $state->job->machine_id)->first());
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasMany<OfferStage, $this> */
    public function stages(): HasMany
    {
        return $this->hasMany(OfferStage::class)->orderBy('place');
    }

    /** The relation stages must be loaded. */
    public function case(): BidCase
    {
        return new BidCase(
            array_values($this->stages->map(static fn (OfferStage $s): BidStage => new BidStage(
                $s->name,
                $s->cost_minor,
                $s->passes,
                $s->fallback_minor,
                $s->end,
            ))->all()),
            $this->sells_minor,
            $this->freight_minor + $this->missing_minor + $this->selling_minor,
            $this->margin_minor,
        );
    }
}
