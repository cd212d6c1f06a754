<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/**
 * Counts wrong passwords and codes: of an account from an address by the minute and the hour, of an account from anywhere by the
 * hour. Who comes in right is never counted, so many people behind one address do not shut each other out.
 */
final readonly class LoginTries
{
    private const OF_ACCOUNT_HOURLY = 100;

    private const HOURLY = 5;

    /**
     * Before what was given is looked at.
     *
     * @throws TooManyRequestsHttpException
     */
    public static function count(Request $request, string $login): void
    {
        foreach (self::limits($request, $login) as $key => [$most, $seconds]) {
            if (Tries::count($key, $seconds) > $most) {
                throw new TooManyRequestsHttpException(RateLimiter::availableIn($key));
            }
        }
    }

    /** It was right: it counts as none. */
    public static function right(Request $request, string $login): void
    {
        [$minute, $hour, $anywhere] = array_keys(self::limits($request, $login));
        RateLimiter::clear($minute);
        RateLimiter::clear($hour);
        RateLimiter::decrement($anywhere, 3600);
    }

    /** @return array<string, array{int, int}> most, in how many seconds; the two of this address first */
    private static function limits(Request $request, string $login): array
    {
        $account = sha1(mb_strtolower($login));
        $tries = Config::integer('odd-bench.login_tries');

        return [
            "wrong:{$account}|{$request->ip()}" => [$tries, 60],
            "wrong-hour:{$account}|{$request->ip()}" => [$tries * self::HOURLY, 3600],
            "wrong-account:{$account}" => [max(self::OF_ACCOUNT_HOURLY, $tries * self::HOURLY), 3600],
        ];
    }
}
