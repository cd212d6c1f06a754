<?php

declare(strict_types=1);

namespace App\Proof\Runner;

use Illuminate\Support\Facades\Log;
use Throwable;

/** Notes what went wrong where noting it must not go wrong as well. */
final class Quietly
{
    public static function log(Throwable $e): void
    {
        try {
            Log::error($e->getMessage(), ['exception' => $e]);
        } catch (Throwable) {
            // the disk is full, or the log is not ours: what matters goes on
        }
    }
}
