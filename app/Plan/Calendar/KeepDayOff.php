<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Plan\PlanNews;
use App\Shop\Person;
use App\Shop\ShopDay;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** Days, or hours of a day, on which the shop is shut or somebody is not here. */
final readonly class KeepDayOff
{
    private const LONGEST_DAYS = 366;

    public function __construct(private ShopDay $day)
    {
    }

    /**
     * @param  Person|null  $person  nothing for the shop
     * @param  string  $first  a day
     * @param  string|null  $from  of the clock, for a part of one day
     *
     * @throws InputError when the days are over, end before they begin, or hours are given for more than one day
     */
    public function keep(?Person $person, string $first, string $last, ?string $from, ?string $to, string $why, Person $by): DayOff
    {
        if ($last < $first) {
            throw InputError::at('last', "{$last} lies before {$first}.");
        }
        if ($last < $this->day->today()) {
            throw InputError::at('last', 'These days are over.');
        }
        if (now()->parse($first)->diffInDays(now()->parse($last)) > self::LONGEST_DAYS) {
            throw InputError::at('last', 'That is more than a year; whoever leaves for good is ended under People.');
        }
        [$start, $end] = [null, null];
        if ($from !== null || $to !== null) {
            if ($first !== $last) {
                throw InputError::at('from', 'Hours are given for one day only.');
            }
            $start = Week::minute($from ?? '0:00', 'from');
            $end = Week::minute($to ?? '24:00', 'to');
            if ($end <= $start) {
                throw InputError::at('to', Week::words($start).' to '.Week::words($end).' ends before it begins.');
            }
        }

        return DB::transaction(static function () use ($person, $first, $last, $start, $end, $why, $by): DayOff {
            $off = DayOff::query()->create([
                'person_id' => $person?->id,
                'first' => $first,
                'last' => $last,
                'from_minute' => $start,
                'to_minute' => $end,
                'why' => $why,
            ]);
            PlanNews::note(sprintf(
                '%s%s: %s',
                $person === null ? 'The shop is shut' : "{$person->name} is away",
                $start === null ? '' : ' from '.Week::words($start),
                $person === null || $person->id === $by->id ? $why : "{$why} ({$by->name})",
            ));

            return $off;
        });
    }

    /** They are here after all. */
    public function drop(DayOff $off): void
    {
        DB::transaction(static function () use ($off): void {
            $off->delete();
            PlanNews::note($off->person === null ? 'The shop is open after all' : "{$off->person->name} is here after all");
        });
    }
}
