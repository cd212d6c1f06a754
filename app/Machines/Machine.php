<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\Refused;
use App\Machines\Owners\Owner;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use OddBench\Input\InputError;
use OddBench\Machines\Tag;

/**
 * A printer that is known here, under its tag.
 *
 * @property int $id
 * @property string $tag
 * @property string $family
 * @property string|null $serial
 * @property 'owner'|'farm'|'resale' $held_as
 * @property int|null $owner_id
 * @property int|null $price_paid_minor
 * @property string|null $hours run in all, when its counter was read last
 * @property string $place
 * @property Carbon|null $place_since
 * @property Carbon|null $warranty_until
 * @property 'maker'|'seller'|null $warranty_by
 * @property string|null $warranty_note
 * @property Carbon $created_at
 * @property Carbon|null $updated_at
 * @property string $page_key of the page its owner may see
 * @property string|null $printer_host
 * @property int|null $printer_port
 * @property string|null $notes
 * @property bool $prints_abrasive filled filament as a rule
 * @property bool $prints_hot above 250 °C as a rule
 * @property Carbon|null $asked_at when its printer was asked last by itself
 * @property string|null $counter_wonder why what it said then was not believed
 * @property-read Owner|null $owner
 * @property-read Collection<int, Fitting> $fittings
 */
final class Machine extends Model
{
    protected $guarded = [];

    protected $casts = [
        'warranty_until' => 'date', 'place_since' => 'datetime', 'prints_abrasive' => 'boolean', 'prints_hot' => 'boolean',
        'asked_at' => 'datetime',
    ];

    /** what the database starts a machine with */
    protected $attributes = ['prints_abrasive' => false, 'prints_hot' => false];

    protected static function booted(): void
    {
        self::creating(static function (self $machine): void {
            $machine->page_key ??= self::freshKey();
        });
        self::saving(static function (self $machine): void {
            if ($machine->isDirty('place')) {
                $machine->place_since = now();
            }
        });
    }

    /** Nobody guesses it: 80 random bits. */
    public static function freshKey(): string
    {
        return bin2hex(random_bytes(10));
    }

    /** @return BelongsTo<Owner, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(Owner::class);
    }

    /** @return HasMany<Fitting, $this> */
    public function fittings(): HasMany
    {
        return $this->hasMany(Fitting::class);
    }

    /**
     * The machine under a tag as it was scanned or typed.
     *
     * @throws InputError when it is no tag
     * @throws Refused when no machine wears it
     */
    public static function known(string $typed): self
    {
        $tag = Tag::read($typed)->text();

        return self::query()->where('tag', $tag)->first() ?? throw Refused::notFound(
            'tag',
            "No machine here has the tag {$tag}. Check the label, or book it in as a new one.",
        );
    }

    /** Up to when it ran: today, or since when it stands. */
    public function ranUntil(): Carbon
    {
        return $this->place_since === null || Place::from($this->place)->runs() ? Carbon::now() : $this->place_since;
    }

    /** Hours run in all when its counter was read last; what it has run since is for HoursQuery to say. */
    public function hoursRun(): ?float
    {
        return $this->hours === null ? null : (float) $this->hours;
    }
}
