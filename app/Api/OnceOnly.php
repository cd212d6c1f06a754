<?php

declare(strict_types=1);

namespace App\Api;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
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
        $print = sha1($request->method().' '.$request->path().' '.$request->getContent());
        DB::beginTransaction();
        try {
            $first = DB::table('once_keys')->insertOrIgnore(['person_id' => $person, 'key' => $key, 'request' => $print, 'created_at' => now()]) === 1;
            $response = $first ? $next($request) : $this->again($person, $key, $print);
            if ($response->getStatusCode() >= 400) {
                DB::rollBack();

                return $response;
            }
            if ($first) {
                DB::table('once_keys')->where(['person_id' => $person, 'key' => $key])->update(['status' => $response->getStatusCode(), 'body' => $response->getContent()]);
            }
            DB::commit();
        } catch (\Throwable $e) {
            DB::rollBack();
            throw $e;
        }

        return $response;
    }

    private function again(mixed $person, string $key, string $print): Response
    {
        $kept = DB::table('once_keys')->where(['person_id' => $person, 'key' => $key])->first();
        if ($kept === null || $kept->request !== $print) {
            throw new HttpException(422, 'This Idempotency-Key was used for another write. Use a new one.');
        }

        return JsonResponse::fromJsonString((string) $kept->body, (int) $kept->status);
    }
}
