<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Auth\AuthenticationException;
use Illuminate\Support\Facades\Auth;

/** The person at the keyboard. */
final class Here
{
    /** @throws AuthenticationException when nobody is logged in */
    public static function person(): Person
    {
        $person = Auth::user();

        return $person instanceof Person ? $person : throw new AuthenticationException;
    }
}
