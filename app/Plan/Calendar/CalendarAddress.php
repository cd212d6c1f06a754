<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Shop\Person;

/** The address somebody’s calendar is subscribed at: who has it sees their plan; a new one ends the old. */
final class CalendarAddress
{
    private const LETTERS = 40;

    public function renew(Person $person): string
    {
        $secret = bin2hex(random_bytes(intdiv(self::LETTERS, 2)));
        Person::query()->whereKey($person->id)->update(['calendar_secret' => self::hash($secret)]);
        $person->calendar_secret = self::hash($secret);

        return url("calendar/{$secret}.ics");
    }

    public function end(Person $person): void
    {
        Person::query()->whereKey($person->id)->update(['calendar_secret' => null]);
        $person->calendar_secret = null;
    }

    public static function whose(string $secret): ?Person
    {
        return Person::query()->whereNull('left_at')->firstWhere('calendar_secret', self::hash($secret));
    }

    private static function hash(string $secret): string
    {
        return hash('sha256', $secret);
    }
}
