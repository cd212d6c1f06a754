<?php

declare(strict_types=1);

namespace App\Demo;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\File;
use Symfony\Component\HttpFoundation\Response;

/** While the demo is put in place its tables come and go: whoever asks is told so, and asks again. */
final class WhileFilled
{
    /** One that was left behind by a command that was killed does not count for ever. */
    private const LONGEST_S = 600;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $since = @filemtime(self::mark());
        if ($since !== false && time() - $since < self::LONGEST_S) {
            throw new DemoIsFilled;
        }

        return $next($request);
    }

    /**
     * @template T
     *
     * @param  callable(): T  $fill
     * @return T
     */
    public static function during(callable $fill): mixed
    {
        File::put(self::mark(), (string) getmypid());
        try {
            return $fill();
        } finally {
            File::delete(self::mark());
        }
    }

    private static function mark(): string
    {
        return storage_path('app/demo.filling');
    }
}
