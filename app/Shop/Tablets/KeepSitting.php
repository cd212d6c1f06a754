<?php

declare(strict_types=1);

namespace App\Shop\Tablets;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Ends a session that is over, and locks a shared tablet nobody has touched. */
final readonly class KeepSitting
{
    /** A request the page makes by itself: nobody's hand is on it. */
    private const BY_ITSELF = 'X-By-Itself';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->hasSession() && Auth::check()) {
            $sitting = new Sitting($request->session());
            if ($sitting->isOver()) {
                $sitting->end();
            } elseif ($sitting->hasRested()) {
                $sitting->lock();
            } elseif (! $request->headers->has(self::BY_ITSELF)) {
                $sitting->touch();
            }
        }

        return $next($request);
    }
}
