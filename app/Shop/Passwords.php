<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use OddBench\Input\InputError;
use OddBench\Shop\PasswordRule;

/** Sets the passwords of people. */
final readonly class Passwords
{
    public function __construct(private PasswordRule $rule, private Settings $settings)
    {
    }

    /**
     * Whoever is logged in elsewhere as this person is so no longer.
     *
     * @param  string|null  $session  that stays
     *
     * @throws InputError at password, with the reason
     */
    public function set(Person $person, string $password, ?string $session): void
    {
        $this->refuseWeak($password, $person->login, $person->name);
        DB::transaction(static function () use ($person, $password, $session): void {
            $person->update(['password' => $password, 'code' => null, 'code_until' => null]);
            OpenSessions::end($person, $session);
        });
    }

    /** @throws InputError at password, with the reason */
    public function refuseWeak(string $password, string $login, string $name): void
    {
        $shop = $this->settings->get('shop_name');
        $refusal = $this->rule->refusal($password, [$login, $name, 'Odd Bench', ...(is_string($shop) ? [$shop] : [])]);
        if ($refusal !== null) {
            throw InputError::at('password', $refusal);
        }
    }

    /** One that nobody knows: the person sets an own one with the code. */
    public static function nobodys(): string
    {
        return Hash::make(Str::random(40));
    }
}
