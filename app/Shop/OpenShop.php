<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Refused;
use Illuminate\Support\Facades\DB;

/** The first visit to an empty shop: what it is called, and who leads it. */
final readonly class OpenShop
{
    public function __construct(private Passwords $passwords)
    {
    }

    /** @throws Refused when somebody was here before */
    public function open(string $shopName, string $zone, string $currency, string $login, string $name, string $password): Person
    {
        return DB::transaction(function () use ($shopName, $zone, $currency, $login, $name, $password): Person {
            DB::select('SELECT pg_advisory_xact_lock(?)', [crc32('open shop')]);
            if (Person::query()->exists()) {
                throw Refused::because('shop', 'This shop is open already. Log in; a lead adds people.');
            }
            Setting::put('shop_name', $shopName);
            Setting::put('zone', $zone);
            Setting::put('currency', $currency);
            $login = mb_strtolower($login);
            $this->passwords->refuseWeak($password, $login, $name);

            return Person::query()->create(['login' => $login, 'name' => $name, 'role' => Role::Lead, 'password' => $password]);
        });
    }
}
