<?php

declare(strict_types=1);

namespace App\Api;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** A write comes from the shop's own page, or from no page at all: another site's page sends its own name along. */
final class SameOrigin
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $origin = $request->headers->get('Origin');
        if (! $request->isMethodSafe() && $origin !== null && $origin !== $request->getSchemeAndHttpHost()) {
            throw new HttpException(403, 'This was sent by a page of another place, so nothing was done.');
        }

        return $next($request);
    }
}
