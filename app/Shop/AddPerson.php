<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;

/** Somebody new works here. */
final readonly class AddPerson
{
    /**
     * @return array{Person, string} with the code to set a password with
     *
     * @throws InputError when somebody has that login
     */
    public function add(string $login, string $name, Role $role): array
    {
        return DB::transaction(static function () use ($login, $name, $role): array {
            $login = mb_strtolower($login);
            if (Person::query()->where('login', $login)->exists()) {
                throw InputError::at('login', "Somebody has the login “{$login}” already, perhaps somebody who left. Take another one.");
            }
            $person = Person::query()->create(['login' => $login, 'name' => $name, 'role' => $role, 'password' => Passwords::nobodys()]);

            return [$person, Code::give($person)];
        });
    }
}
