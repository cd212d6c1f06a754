<?php

declare(strict_types=1);

namespace App\Instruments;

use OddBench\Input\Contents;
use OddBench\Input\InputError;

/** Opens the files a computation is given by name: core takes contents, never paths. */
final class Files
{
    /** Keys that name a file. */
    public const KEYS = ['wav_file', 'csv_file', 'file'];

    private const PIECE = 1 << 16;

    /**
     * @param  array<array-key, mixed>  $input
     * @return array<array-key, mixed> with contents in the place of paths
     *
     * @throws InputError for a file that cannot be read
     */
    public static function opened(array $input): array
    {
        foreach (self::KEYS as $key) {
            $path = $input[$key] ?? null;
            if (! is_string($path)) {
                continue;
            }
            if (! is_file($path) || ! is_readable($path)) {
                throw InputError::at($key, "{$key}: there is no file “{$path}” that can be read.");
            }
            $input[$key] = self::at($path);
        }

        return $input;
    }

    public static function at(string $path): Contents
    {
        return Contents::of(static function () use ($path): iterable {
            $file = fopen($path, 'rb');
            if ($file === false) {
                throw InputError::at('file', "“{$path}” cannot be read.");
            }
            try {
                while (! feof($file)) {
                    yield (string) fread($file, self::PIECE);
                }
            } finally {
                fclose($file);
            }
        });
    }
}
