<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Plan\PlanNews;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** Hours of the shop, or of somebody, as they are from now on. */
final class KeepHours
{
    /**
     * @param  Person|null  $person  nothing for the shop
     * @param  list<array{weekday: int, opens: string, closes: string}>  $week  none: somebody is there whenever the shop is open
     *
     * @throws InputError when the shop would never be open, or hours cannot be read
     */
    public function keep(?Person $person, array $week, Person $by): void
    {
        $rows = Week::read($week);
        if ($person === null && $rows === []) {
            throw InputError::at('week', 'A shop is open at some hour of the week; say at least one.');
        }
        DB::transaction(static function () use ($person, $rows, $by): void {
            // who changes the same hours waits
            DB::select('SELECT pg_advisory_xact_lock(?)', [910_000 + ($person->id ?? 0)]);
            Hours::query()->where('person_id', $person?->id)->delete();
            foreach ($rows as $row) {
                Hours::query()->create(['person_id' => $person?->id] + $row);
            }
            PlanNews::note(sprintf('%s changed the hours of %s', $by->name, $person->name ?? 'the shop'));
        });
    }
}
