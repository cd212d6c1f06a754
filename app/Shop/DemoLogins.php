<?php

declare(strict_types=1);

namespace App\Shop;

/** The invented people of the demo shop. Their password is no secret: it exists in demo mode only. */
final class DemoLogins
{
    public const PASSWORD = 'harbour-quay';

    /** login => name, role */
    public const PEOPLE = [
        'bo' => ['Bo Lindqvist', Role::Technician],
        'imre' => ['Imre Vasalo', Role::Technician],
        'ada' => ['Ada Morrow', Role::Lead],
        'tove' => ['Tove Kessler', Role::Lead],
        'sam' => ['Sam Okafo', Role::Counter],
        'guest' => ['Guest', Role::ReadOnly],
    ];

    /** @return list<DemoLoginView> */
    public static function all(): array
    {
        $logins = [];
        foreach (self::PEOPLE as $login => [$name, $role]) {
            $logins[] = new DemoLoginView($login, $name, $role->value, self::PASSWORD);
        }

        return $logins;
    }
}
