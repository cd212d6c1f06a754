<?php

declare(strict_types=1);

namespace App\Shop\Tablets;

use App\Shop\Code;
use App\Shop\Person;
use App\Shop\Tries;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use OddBench\Input\InputError;
use OddBench\Shop\PinRule;

/** Six digits that stand for somebody on a device a password has opened; never more. */
final readonly class Pins
{
    private const TRIES = 5;

    private const MINUTES = 15;

    /** @throws InputError at pin */
    public static function set(Person $person, string $pin): void
    {
        $refusal = PinRule::refusal($pin);
        if ($refusal !== null) {
            throw InputError::at('pin', $refusal);
        }
        $person->update(['pin' => Hash::make($pin)]);
    }

    /**
     * Five wrong ones, and the PIN rests for a quarter of an hour; the password still works.
     *
     * @throws InputError at pin
     */
    public static function check(?Person $person, string $pin): Person
    {
        $key = 'pin:'.($person === null ? 'nobody' : $person->id);
        if (Tries::count($key, 60 * self::MINUTES) > self::TRIES) {
            throw InputError::at('pin', sprintf(
                'Five wrong tries: this PIN rests for %d minutes. The password still works.',
                (int) ceil(RateLimiter::availableIn($key) / 60),
            ));
        }
        // it takes as long when nobody is meant
        $fits = Hash::check($pin, $person->pin ?? Code::nobodys());
        if (! $fits || $person === null || $person->pin === null || $person->left_at !== null) {
            throw InputError::at('pin', 'This is not the PIN. After five wrong ones it rests for a quarter of an hour.');
        }
        RateLimiter::clear($key);

        return $person;
    }
}
