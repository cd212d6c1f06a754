<?php

declare(strict_types=1);

namespace App\Proof\Runner;

use RuntimeException;

/**
 * The small files between the process that speaks with printers and the one that speaks with the database: what is to be run,
 * how it stands and what is hot, what somebody wants of it, and what was measured. The first needs nothing else to live.
 */
final readonly class RunFiles
{
    public function __construct(public string $folder)
    {
        if (! is_dir($folder)) {
            @mkdir($folder, 0770, true);
        }
    }

    /** @return list<int> runs there is a file of that kind for */
    public function runs(string $kind): array
    {
        $ids = array_map(static fn (string $path): int => (int) basename($path), glob("{$this->folder}/*.{$kind}") ?: []);
        sort($ids);

        return $ids;
    }

    /** @return array<string, mixed>|null */
    public function read(int $run, string $kind): ?array
    {
        $text = @file_get_contents($this->path($run, $kind));
        $values = $text === false ? null : json_decode($text, true);

        return is_array($values) ? $values : null;
    }

    /**
     * @return string|null changes whenever what is in it does: a number of a file that is gone is given to the next but one, so that two
     *   of the same second and size would be taken for the same
     */
    public function stamp(int $run, string $kind): ?string
    {
        $sum = @md5_file($this->path($run, $kind));

        return $sum === false ? null : $sum;
    }

    /**
     * Whole or not at all, and on the disk when this returns.
     *
     * @param  array<string, mixed>  $values
     *
     * @throws RuntimeException when the disk does not take it
     */
    public function write(int $run, string $kind, array $values): void
    {
        self::whole(
            $this->path($run, $kind),
            (string) json_encode($values, JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE | JSON_PRESERVE_ZERO_FRACTION),
            true,
        );
    }

    public function forget(int $run, string $kind): void
    {
        @unlink($this->path($run, $kind));
    }

    public function path(int $run, string $kind): string
    {
        return "{$this->folder}/{$run}.{$kind}";
    }

    /** The database answers: whoever reads this knows that a run can be stopped from the page. */
    public function beat(): void
    {
        self::whole("{$this->folder}/clerk.alive", (string) hrtime(true), false);
    }

    /** @return float s since then; without end when it never did, or not since this machine was started */
    public function beatAge(): float
    {
        $age = (hrtime(true) - (int) @file_get_contents("{$this->folder}/clerk.alive")) / 1e9;

        return $age < -1.0 ? INF : $age;
    }

    /** @throws RuntimeException when the disk does not take it */
    public static function whole(string $path, string $text, bool $sure): void
    {
        $new = $path.'.'.getmypid().'.new';
        $file = @fopen($new, 'wb');
        $done = $file !== false && @fwrite($file, $text) === strlen($text) && @fflush($file) && (! $sure || @fsync($file));
        if ($file !== false) {
            fclose($file);
        }
        if (! $done || ! @rename($new, $path)) {
            @unlink($new);
            throw new RuntimeException("{$path} cannot be written. Is the disk full?");
        }
    }
}
