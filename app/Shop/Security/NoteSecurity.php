<?php

declare(strict_types=1);

namespace App\Shop\Security;

use App\Api\OnceOnly;
use App\Shop\Person;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Log;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/** Writes down who called what from where, and of what is watched, and of whatever was forbidden, that it was done or refused. */
final readonly class NoteSecurity
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $began = hrtime(true);
        $before = Auth::user();
        $response = $next($request);
        $person = $before ?? Auth::user();
        $id = $person instanceof Person ? $person->id : null;
        Log::channel('access')->info(sprintf(
            '%s %s %s %s %d %d ms',
            $request->ip() ?? '-',
            $id ?? '-',
            $request->method(),
            self::address($request),
            $response->getStatusCode(),
            (hrtime(true) - $began) / 1e6,
        ));
        // what was sent again was done and written down the first time
        if (! $response->headers->has(OnceOnly::AGAIN)) {
            $this->note($request, $response->getStatusCode(), $id);
        }

        return $response;
    }

    private function note(Request $request, int $status, ?int $person): void
    {
        $route = $request->route();
        $what = $route instanceof Route ? Watched::words($request->method(), $route->uri()) : null;
        if ($what === null && $status !== 403) {
            return;
        }
        try {
            SecurityEvent::query()->create([
                'at' => now(),
                'what' => $what ?? 'was forbidden',
                'person_id' => $person,
                'about' => $this->about($request, $what === null),
                'address' => $request->ip(),
                'status' => $status,
            ]);
        } catch (Throwable) {
            // what is done is not undone because it cannot be noted; the access log has it
        }
    }

    /** Of whom or what: a login that was typed, a machine, a job. Never what was typed otherwise. */
    private function about(Request $request, bool $whole): ?string
    {
        if ($whole) {
            return mb_substr($request->method().' '.self::address($request), 0, 200);
        }
        $words = [];
        $login = $request->input('login');
        if (is_string($login)) {
            $words[] = "“{$login}”";
        }
        $route = $request->route();
        foreach ($route instanceof Route ? $route->parameters() : [] as $name => $value) {
            $words[] = "{$name} ".(is_scalar($value) ? $value : '');
        }

        return $words === [] ? null : mb_substr(implode(', ', $words), 0, 200);
    }

    /** Without what is asked for behind it, and without the key of a label: who has that sees the machine’s page. */
    private static function address(Request $request): string
    {
        return preg_replace(
            ['~^/o/answer/[^/]+~', '~^/o/(?!answer/|…)[^/]+~u', '~^/calendar/.+~'],
            ['/o/answer/…', '/o/…', '/calendar/…'],
            $request->getPathInfo(),
        ) ?? '';
    }
}
