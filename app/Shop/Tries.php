<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Cache\Lock;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\RateLimiter;

/**
 * Tries of what can be guessed. Each is counted before it is looked at, one after the other: sixteen at once are sixteen, and not as
 * many as come before the first wrong one is written down.
 */
final readonly class Tries
{
    private const WAITS_S = 5;

    private const AGAIN_MS = 10;

    /** @return int how many there are within so many s, this one included */
    public static function count(string $key, int $seconds): int
    {
        $store = Cache::store(Config::string('cache.limiter'))->getStore();
        if (! $store instanceof LockProvider) {
            return RateLimiter::hit($key, $seconds);
        }
        $lock = $store->lock("tries:{$key}", self::WAITS_S);
        if ($lock instanceof Lock) {
            $lock->betweenBlockedAttemptsSleepFor(self::AGAIN_MS);
        }
        try {
            $count = $lock->block(self::WAITS_S, static fn (): int => RateLimiter::hit($key, $seconds));

            return is_int($count) ? $count : PHP_INT_MAX;
        } catch (LockTimeoutException) {
            // so many at once that nobody can count them
            return PHP_INT_MAX;
        }
    }
}
