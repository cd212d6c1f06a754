<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;

/** The page knows where it was: no address is kept, so that looking changes nothing in a session. */
final class StartSession extends \Illuminate\Session\Middleware\StartSession
{
    /** @param  Session  $session */
    protected function storeCurrentUrl(Request $request, $session): void
    {
    }
}
