<?php

declare(strict_types=1);

namespace App\Api;

use Illuminate\Support\Facades\Storage;
use Throwable;

/** Keeps a file whole or not at all: what the disk did not take to its end leaves nothing behind. */
final class KeptFile
{
    /**
     * @param  string|resource  $contents
     *
     * @throws Refused at the field, in words
     */
    public static function put(string $path, $contents, string $field, string $what): void
    {
        // of several who keep the same at once each writes a part of its own
        $part = $path.'.'.bin2hex(random_bytes(6)).'.part';
        $size = is_string($contents) ? strlen($contents) : (int) (fstat($contents)['size'] ?? 0);
        try {
            if (Storage::put($part, $contents) && Storage::size($part) === $size && Storage::move($part, $path)) {
                return;
            }
        } catch (Throwable) {
            // said below, in words
        }
        rescue(static fn () => Storage::delete($part), report: false);
        throw Refused::because(
            $field,
            "The {$what} could not be kept: the disk for files does not take it. Is it full? Nothing was changed; try again, or tell whoever looks after the server.",
        );
    }
}
