<?php

declare(strict_types=1);

namespace App\Api;

use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as IlluminateResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * Runs each write once, in one transaction with its key. A retry after a dropped connection gets the first answer again;
 * a write that fails leaves nothing behind, not even its key. Two tries at the same time wait for each other.
 */
final class OnceOnly
{
    /** Header of an answer that was given before: nothing was done this time. */
    public const AGAIN = 'X-Answered-Before';

    private const SHOWN_ONCE = 'shown-once';

    private const TRIES = 3;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user()?->getAuthIdentifier();
        if ($request->isMethodSafe() || $person === null) {
            return $next($request);
        }
        $key = $request->headers->get('Idempotency-Key');
        if (! is_string($key) || ! Str::isUuid($key)) {
            throw new HttpException(400, 'A write needs the header Idempotency-Key with a UUID, so that a retry changes nothing twice.');
        }
        $print = sha1($request->method().' '.$request->path().'?'.$request->getQueryString().' '.$request->getContent());
        for ($try = 1; ; $try++) {
            try {
                return $this->once($request, $next, $person, $key, $print);
            } catch (QueryException $e) {
                // of two that waited for each other the database let one go: nothing of it was written, so it is done again
                if ($try === self::TRIES || ! in_array($e->getCode(), ['40P01', '40001'], true)) {
                    throw $e;
                }
            }
        }
    }

    /** @param  Closure(Request): Response  $next */
    private function once(Request $request, Closure $next, mixed $person, string $key, string $print): Response
    {
        DB::beginTransaction();
        try {
            $first = DB::table('once_keys')->insertOrIgnore([
                'person_id' => $person,
                'key' => $key,
                'request' => $print,
                'created_at' => now(),
            ]) === 1;
            $response = $first ? $next($request) : $this->again($person, $key, $print);
            $thrown = $response instanceof JsonResponse || $response instanceof IlluminateResponse ? $response->exception : null;
            if ($thrown instanceof QueryException && in_array($thrown->getCode(), ['40P01', '40001'], true)) {
                throw $thrown;
            }
            if ($response->getStatusCode() >= 400) {
                DB::rollBack();

                return $response;
            }
            if ($first) {
                DB::table('once_keys')->where(['person_id' => $person, 'key' => $key])->update([
                    'status' => $response->getStatusCode(),
                    'body' => self::keepable($request, $response),
                ]);
            }
            DB::commit();
        } catch (\Throwable $e) {
            $this->undo($e);
            throw $e;
        }

        return $response;
    }

    /** The answer to this request shows something that is kept nowhere. */
    public static function showsOnce(string $name): void
    {
        request()->attributes->set(self::SHOWN_ONCE, $name);
    }

    /** What is shown once is not kept: a retry gets the same answer without it. */
    private static function keepable(Request $request, Response $response): string
    {
        $secret = $request->attributes->get(self::SHOWN_ONCE);
        $data = is_string($secret) ? json_decode((string) $response->getContent(), true) : null;

        return is_array($data) ? (string) json_encode(
            [...$data, $secret => null],
            JSON_UNESCAPED_UNICODE,
        ) : (string) $response->getContent();
    }

    /** A connection that is gone has undone everything by itself; what went wrong first is what is said. */
    private function undo(\Throwable $first): void
    {
        try {
            DB::rollBack();
        } catch (\Throwable $e) {
            if (! Problem::isAway($first)) {
                throw $e;
            }
        }
    }

    private function again(mixed $person, string $key, string $print): Response
    {
        $kept = DB::table('once_keys')->where(['person_id' => $person, 'key' => $key])->first();
        if ($kept === null || $kept->request !== $print) {
            throw new HttpException(422, 'This Idempotency-Key was used for another write. Use a new one.');
        }

        $response = JsonResponse::fromJsonString((string) $kept->body, (int) $kept->status);
        $response->headers->set(self::AGAIN, '1');

        return $response;
    }
}
