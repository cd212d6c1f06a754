<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Proof\Runner\RunFiles;
use App\Shop\Ability;
use App\Shop\Person;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * Stop is heard before the database is asked anything: it may be away, or held up by others, and a heater does not wait for that. Who may
 * stop shows it by a cookie this server sealed when somebody came in who works here; what else a request needs is looked at after that.
 */
final readonly class HearStop
{
    public const COOKIE = 'odd_bench_stop';

    private const HOURS = 12;

    private const HEARD = 'Stop was heard: its heaters go off. ';

    public function __construct(private RunFiles $files)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $heard = $this->hear($request);
        $response = $next($request);
        if ($heard && $response->getStatusCode() >= 400 && $response instanceof JsonResponse) {
            $data = $response->getData(true);
            $detail = is_array($data) && is_string($data['detail'] ?? null) && $response->getStatusCode() < 500
                ? $data['detail']
                : 'The database does not answer: what this page shows of it may be old.';
            $response->setData(['detail' => self::HEARD.$detail] + (is_array($data) ? $data : []));
        }
        if ($request->is('api/v1/session', 'api/v1/session/*') && $response->isSuccessful()) {
            $response->headers->setCookie($this->cookie());
        }

        return $response;
    }

    private function hear(Request $request): bool
    {
        if (! $request->isMethod('POST') || preg_match('~^api/v1/jobs/\d+/proof-run/(\d{1,18})/stop$~D', $request->path(), $of) !== 1
            || ! $this->maySay($request->cookies->get(self::COOKIE)) || $this->files->stamp((int) $of[1], 'order') === null) {
            return false;
        }
        $this->files->write((int) $of[1], 'stop', []);

        return true;
    }

    private function maySay(mixed $sealed): bool
    {
        try {
            return is_string($sealed) && $sealed !== '' && (int) Crypt::decryptString($sealed) > time();
        } catch (Throwable) {
            return false;
        }
    }

    private function cookie(): Cookie
    {
        $works = Auth::user() instanceof Person && Gate::allows(Ability::Work);
        $until = $works ? time() + 3600 * self::HOURS : 1;

        return Cookie::create(
            self::COOKIE,
            $works ? Crypt::encryptString((string) $until) : '',
            $until,
            '/api/v1/jobs',
            secure: Config::boolean('session.secure'),
            sameSite: Cookie::SAMESITE_STRICT,
        );
    }
}
