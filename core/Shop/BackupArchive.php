<?php

declare(strict_types=1);

namespace OddBench\Shop;

use RuntimeException;

/**
 * A backup’s tar, read as something a stranger made: all of it is listed and judged before the first byte is written, only plain files
 * and folders of names a backup has are taken, nothing is put anywhere else or over anything, and each file is what the sums say. Needs
 * nothing else of this program, so that a user with no rights can run it by itself. Format: POSIX.1-1988 ustar, and GNU tar’s long names.
 */
final readonly class BackupArchive
{
    /** What its names are; folders end without a stroke. */
    private const NAMES = '~^(manifest\.json|sums|seal|secrets\.env|settings|database\.dump'
        .'|files(/[A-Za-z0-9_-]+)*(/[A-Za-z0-9_-][A-Za-z0-9._-]*)?)$~D';

    private const NEEDED = ['manifest.json', 'sums', 'secrets.env', 'database.dump'];

    private const BLOCK = 512;

    private const MOST_ENTRIES = 2_000_000;

    private const LONGEST_NAME = 4096;

    /** Bytes of what is read whole: manifest, sums, settings, secrets. */
    private const MOST_TEXT = 256 * 1024 * 1024;

    /**
     * Unpacks it into an empty folder that is there.
     *
     * @param  resource  $tar  a file that can be gone through twice
     *
     * @throws RuntimeException in words, with nothing written when it is no backup of this program
     */
    public static function unpack($tar, string $into): void
    {
        $found = scandir($into);
        if ($found === false || count($found) > 2) {
            throw new RuntimeException("{$into} is no empty folder.");
        }
        $entries = self::entries($tar);
        foreach ($entries as $name => [$isFolder, $at, $size]) {
            if ($isFolder) {
                self::folder("{$into}/{$name}");
            } else {
                self::folder(dirname("{$into}/{$name}"));
                self::write($tar, $at, $size, "{$into}/{$name}");
            }
        }
        self::check($into, array_keys(array_filter($entries, static fn (array $entry): bool => ! $entry[0])));
    }

    /** What proves that a shop made these sums: HMAC-SHA-256 with its key. */
    public static function seal(string $sums, string $key): string
    {
        return hash_hmac('sha256', $sums, "backup {$key}");
    }

    /**
     * @param  resource  $tar
     * @return array<string, array{bool, int, int}> name => whether it is a folder, where its bytes begin, how many they are
     */
    private static function entries($tar): array
    {
        $size = fstat($tar)['size'] ?? 0;
        $entries = [];
        $long = null;
        for ($at = 0; ; $at = $from + (int) (ceil($length / self::BLOCK) * self::BLOCK)) {
            $header = self::read($tar, $at, self::BLOCK);
            if (trim($header, "\0") === '') {
                break;
            }
            $from = $at + self::BLOCK;
            $length = self::number($header, 124, 12);
            if (! self::isSound($header) || $length > $size - $from) {
                throw new RuntimeException('It is damaged, or no backup.');
            }
            if ($header[156] === 'L') {
                $long = $long === null && $length <= self::LONGEST_NAME
                    ? rtrim(self::read($tar, $from, $length), "\0")
                    : throw new RuntimeException('It holds a name that is none.');

                continue;
            }
            [$name, $isFolder] = self::judge($header, $long, $length, $entries);
            $entries[$name] = [$isFolder, $from, $length];
            $long = null;
            if (count($entries) > self::MOST_ENTRIES) {
                throw new RuntimeException('It holds more files than any backup.');
            }
        }
        $missing = array_diff(self::NEEDED, array_keys(array_filter($entries, static fn (array $entry): bool => ! $entry[0])));
        if ($long !== null || $missing !== []) {
            throw new RuntimeException('It is no whole backup: '.implode(', ', $missing).' is not in it.');
        }

        return $entries;
    }

    /**
     * @param  array<string, array{bool, int, int}>  $before  what came before it
     * @return array{string, bool} its name, and whether it is a folder
     */
    private static function judge(string $header, ?string $long, int $length, array $before): array
    {
        $prefix = substr($header, 257, 6) === "ustar\0" ? rtrim(substr($header, 345, 155), "\0") : '';
        $name = rtrim($long ?? ($prefix === '' ? '' : "{$prefix}/").rtrim(substr($header, 0, 100), "\0"), '/');
        $isFolder = $header[156] === '5';
        if (! $isFolder && $header[156] !== '0' && $header[156] !== "\0") {
            throw new RuntimeException('It holds links or devices, which no backup does.');
        }
        $fits = $isFolder ? $length === 0 && str_starts_with($name, 'files') : $name !== 'files';
        if (! $fits || preg_match(self::NAMES, $name) !== 1 || isset($before[$name])) {
            throw new RuntimeException('It holds what no backup holds: '.substr((string) preg_replace('/[^ -~]/', '?', $name), 0, 80));
        }
        for ($over = dirname($name); $over !== '.'; $over = dirname($over)) {
            if (($before[$over][0] ?? true) !== true) {
                throw new RuntimeException("It holds a file and a folder of one name: {$over}");
            }
        }

        return [$name, $isFolder];
    }

    private static function isSound(string $header): bool
    {
        return array_sum((array) unpack('C*', substr_replace($header, '        ', 148, 8))) === self::number($header, 148, 8);
    }

    /** Octal digits, or bytes where the first bit is set (GNU); −1 when it is none. */
    private static function number(string $header, int $at, int $length): int
    {
        $field = substr($header, $at, $length);
        if (ord($field[0]) === 0x80) {
            $bytes = substr($field, -8);

            return trim(substr($field, 1, -8), "\0") === '' && ord($bytes[0]) < 0x40 ? (int) hexdec(bin2hex($bytes)) : PHP_INT_MAX;
        }
        $digits = trim($field, " \0");

        return preg_match('/^[0-7]{1,11}$/D', $digits) === 1 ? (int) octdec($digits) : PHP_INT_MAX;
    }

    /** @param  resource  $tar */
    private static function read($tar, int $at, int $length): string
    {
        if ($length === 0) {
            return '';
        }
        $bytes = fseek($tar, $at) === 0 ? stream_get_contents($tar, $length) : false;
        if ($bytes === false || strlen($bytes) !== $length) {
            throw new RuntimeException('It breaks off: it is not whole.');
        }

        return $bytes;
    }

    private static function folder(string $path): void
    {
        if (! is_dir($path) && ! mkdir($path, 0700, true)) {
            throw new RuntimeException("{$path} cannot be made.");
        }
    }

    /** @param  resource  $tar */
    private static function write($tar, int $at, int $size, string $to): void
    {
        // never over anything that is there
        $file = @fopen($to, 'x');
        if ($file === false || fseek($tar, $at) !== 0) {
            throw new RuntimeException("{$to} cannot be written.");
        }
        $written = stream_copy_to_stream($tar, $file, $size);
        if ($written !== $size || ! fclose($file)) {
            throw new RuntimeException("{$to} cannot be written whole: the disk is full, or the backup breaks off.");
        }
        chmod($to, 0600);
    }

    /**
     * Each file is what was put in, and none is there that was not.
     *
     * @param  list<string>  $files
     */
    private static function check(string $folder, array $files): void
    {
        if (filesize("{$folder}/sums") > self::MOST_TEXT) {
            throw new RuntimeException('Its sums are no sums.');
        }
        $told = [];
        foreach (explode("\n", trim((string) file_get_contents("{$folder}/sums"))) as $line) {
            if (preg_match('/^([0-9a-f]{64})  (.+)$/D', $line, $sum) !== 1) {
                throw new RuntimeException('Its sums are no sums.');
            }
            $told[$sum[2]] = $sum[1];
        }
        $files = array_values(array_diff($files, ['sums', 'seal']));
        sort($files);
        $names = array_map(strval(...), array_keys($told));
        sort($names);
        if ($files !== $names) {
            throw new RuntimeException('It does not hold what its sums say.');
        }
        foreach ($files as $name) {
            if (! hash_equals($told[$name], (string) hash_file('sha256', "{$folder}/{$name}"))) {
                throw new RuntimeException("{$name} in it is not what was put in.");
            }
        }
    }
}
