<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Support\Facades\Hash;

/** A code that is handed over once and sets a password: read out over a bench, so without letters that are taken for others. */
final class Code
{
    private const LETTERS = 'ACDEFHJKLMNPQRTUVWXY34679';

    private const LENGTH = 10;

    private const HOURS = 48;

    /** Gives somebody a new code; the one before is worth nothing any more. */
    public static function give(Person $person): string
    {
        $code = '';
        for ($i = 0; $i < self::LENGTH; $i++) {
            $code .= self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)];
        }
        $person->update(['code' => Hash::make($code), 'code_until' => now()->addHours(self::HOURS)]);

        return substr($code, 0, 5).'-'.substr($code, 5);
    }

    /** Whether this is the code somebody was given; it takes as long when nobody is of that login. */
    public static function fits(?Person $person, string $typed): bool
    {
        $known = $person === null ? self::nobodys() : ($person->code ?? self::nobodys());
        $fits = Hash::check(strtoupper((string) preg_replace('/[\s\-]+/', '', $typed)), $known);

        return $fits
            && $person !== null
            && $person->code !== null
            && $person->left_at === null
            && $person->code_until?->isFuture() === true;
    }

    /** A hash nothing fits, as costly to look at as any. */
    public static function nobodys(): string
    {
        static $hash = null;

        return $hash ??= Hash::make(bin2hex(random_bytes(16)));
    }
}
