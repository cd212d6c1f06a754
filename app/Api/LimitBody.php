<?php

declare(strict_types=1);

namespace App\Api;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** A write’s body is JSON and not larger than a form can be, or a picture, a paper or a recording where those are taken. */
final class LimitBody
{
    private const MOST = 262_144;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethodSafe()) {
            return $next($request);
        }
        $file = TakesFile::by($request->route());
        if ($file !== null && ! ($file->orJson !== null && $request->isJson())) {
            if ((int) $request->headers->get('Content-Length') > $file->most) {
                throw new HttpException(413);
            }

            return $next($request);
        }
        $content = $request->getContent();
        if (max(strlen($content), (int) $request->headers->get('Content-Length')) > self::MOST) {
            throw new HttpException(413);
        }
        if ($content !== '') {
            if (! $request->isJson()) {
                throw new HttpException(415, 'Send JSON, with the header Content-Type: application/json.');
            }
            json_decode($content, true, 32);
            if (json_last_error() !== JSON_ERROR_NONE || ! str_starts_with(ltrim($content), '{')) {
                throw new HttpException(
                    400,
                    'The body is not a JSON object: '
                        .(json_last_error() === JSON_ERROR_NONE ? 'it must start with {' : json_last_error_msg())
                        .'.',
                );
            }
            if (str_contains($content, '\u0000')) {
                throw new HttpException(400, 'The body holds a character that is no text (zero byte).');
            }
        }

        return $next($request);
    }
}
