<?php

declare(strict_types=1);

namespace App\Api;

/** Moments as answers write them, put so by the database itself: for rows that are read by the hundred. */
final class Iso
{
    /** @param  string  $moment  a column, or an expression, of type timestamptz */
    public static function sql(string $moment): string
    {
        return "to_char({$moment} AT TIME ZONE 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS\"+00:00\"')";
    }
}
