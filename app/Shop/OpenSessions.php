<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Support\Facades\DB;

/** Where somebody is logged in. */
final class OpenSessions
{
    public static function end(Person $person, ?string $but = null): void
    {
        DB::table('sessions')->where('user_id', $person->id)
            ->when($but, static fn ($q, string $id) => $q->where('id', '<>', $id))
            ->delete();
    }
}
