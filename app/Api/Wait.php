<?php

declare(strict_types=1);

namespace App\Api;

use Illuminate\Http\Response;

/** A page for whoever comes while nothing can be shown: it says why, and asks again. */
final class Wait
{
    private const RETRY_S = 2;

    /** @param  list<string>  $lines */
    public static function for(string $heading, array $lines): Response
    {
        return response()->view('wait', ['heading' => $heading, 'lines' => $lines], 503, ['Retry-After' => self::RETRY_S]);
    }
}
