<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Shop\Person;
use App\Shop\ShopDay;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Collection;
use OddBench\Plan\OpenHours;

/** When the shop is open and who is there. One of these lives as long as a request. */
final class ShopHours
{
    /** Days off are read so far ahead. */
    private const AHEAD_DAYS = 400;

    /** @var Collection<int, Hours>|null */
    private ?Collection $hours = null;

    /** @var Collection<int, DayOff>|null */
    private ?Collection $off = null;

    public function __construct(private readonly ShopDay $day)
    {
    }

    public function zone(): DateTimeZone
    {
        return new DateTimeZone($this->day->zone());
    }

    public function shop(): OpenHours
    {
        return $this->build(null);
    }

    /** Somebody without hours of their own is there when the shop is open. */
    public function of(Person $person): OpenHours
    {
        return $this->build($person->id);
    }

    /**
     * When somebody is there and the shop is open, minutes from a moment on.
     *
     * @return list<array{int, int}>
     */
    public function free(Person $person, DateTimeImmutable $from, int $days): array
    {
        return OpenHours::both($this->of($person)->spans($from, $days), $this->shop()->spans($from, $days));
    }

    /** Whether somebody keeps hours of their own. */
    public function ownHours(Person $person): bool
    {
        return $this->hours()->contains('person_id', $person->id);
    }

    private function build(?int $person): OpenHours
    {
        $own = $this->hours()->where('person_id', $person);
        $rows = $own->isEmpty() ? $this->hours()->whereNull('person_id') : $own;
        $week = [];
        foreach ($rows->sortBy(['weekday', 'opens']) as $row) {
            $week[$row->weekday][] = [$row->opens, $row->closes];
        }
        $days = [];
        foreach ($this->off()->filter(static fn (DayOff $off): bool => $off->person_id === null || $off->person_id === $person) as $off) {
            for ($day = $off->first->copy(); $day <= $off->last; $day->addDay()) {
                $date = $day->toDateString();
                $whole = $days[$date] ?? $week[$day->dayOfWeekIso] ?? [];
                $days[$date] = $off->from_minute === null ? [] : OpenHours::without($whole, [[$off->from_minute, (int) $off->to_minute]]);
            }
        }

        return new OpenHours($week, $days, $this->zone());
    }

    /** @return Collection<int, Hours> */
    private function hours(): Collection
    {
        return $this->hours ??= Hours::query()->orderBy('id')->get()->toBase();
    }

    /** @return Collection<int, DayOff> */
    private function off(): Collection
    {
        $today = $this->day->today();

        return $this->off ??= DayOff::query()->where('last', '>=', $today)
            ->where('first', '<=', now()->addDays(self::AHEAD_DAYS)->toDateString())->orderBy('first')->get()->toBase();
    }
}
