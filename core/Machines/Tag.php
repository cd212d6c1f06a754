<?php

declare(strict_types=1);

namespace OddBench\Machines;

use OddBench\Input\InputError;

/**
 * The short code on a machine's label: two family letters, a number of three digits or more, a check letter.
 *
 * Seven letters and seven digits are used, none of which sounds or looks like another when read aloud or written
 * by hand (no 0 and O, 1 and I and L, 2 and Z, 5 and S and nine, 8 and B, M and N; one letter of each rhyme).
 * Seven being prime, a sum weighted 1 to 6 over the places, taken modulo 7, notices every single wrong character
 * and every two neighbours swapped (the family of check digits ISO/IEC 7064 describes).
 */
final readonly class Tag
{
    private const LETTERS = 'HKMRTWX';

    private const DIGITS = '2346789';

    private function __construct(public string $family, public string $number, public string $check)
    {
    }

    /**
     * The n-th tag of a family, counted from 0: numbers of three digits first, then of four and so on.
     *
     * @param  string  $family  two of the seven letters
     *
     * @throws InputError when the letters are not two of the seven
     */
    public static function nth(string $family, int $n): self
    {
        if (preg_match('/^['.self::LETTERS.']{2}$/', $family) !== 1) {
            throw InputError::at('family', 'A family’s letters are two of '.self::LETTERS.", not “{$family}”.");
        }
        if ($n < 0) {
            throw InputError::at('number', 'Tags are counted from 0.');
        }
        $length = 3;
        for ($room = 7 ** 3; $n >= $room; $room *= 7) {
            $n -= $room;
            $length++;
        }
        $number = '';
        for ($place = 0; $place < $length; $place++) {
            $number = self::DIGITS[$n % 7].$number;
            $n = intdiv($n, 7);
        }

        return new self($family, $number, self::checkLetter($family.$number));
    }

    /**
     * A tag as it was scanned or typed: small letters, blanks and dashes do not matter.
     *
     * @throws InputError when it is no tag, or its check letter does not fit
     */
    public static function read(string $typed): self
    {
        $code = strtoupper((string) preg_replace('/[\s\-–·.]+/u', '', $typed));
        if (preg_match('/^(['.self::LETTERS.']{2})(['.self::DIGITS.']{3,7})(['.self::LETTERS.'])$/', $code, $part) !== 1) {
            throw InputError::at(
                'tag',
                'A tag is two letters, three digits or more and a letter, such as '.self::nth('TR', 0)->text()
                    .". It uses only the letters H K M R T W X and the digits 2 3 4 6 7 8 9. “{$typed}” is none.",
            );
        }
        if (self::checkLetter($part[1].$part[2]) !== $part[3]) {
            throw InputError::at(
                'tag',
                "The check letter of “{$typed}” does not fit: one character was misread. Read the label once more.",
            );
        }

        return new self($part[1], $part[2], $part[3]);
    }

    /** Whether what was typed could be a tag; whether such a machine is known is another question. */
    public static function looksLikeOne(string $typed): bool
    {
        return preg_match(
            '/^['.self::LETTERS.']{2}['.self::DIGITS.']{3,7}['.self::LETTERS.']$/',
            strtoupper((string) preg_replace('/[\s\-]+/', '', $typed)),
        ) === 1;
    }

    /** As printed: TR-222-R. */
    public function text(): string
    {
        return "{$this->family}-{$this->number}-{$this->check}";
    }

    private static function checkLetter(string $code): string
    {
        $sum = 0;
        foreach (str_split($code) as $place => $character) {
            $value = $place < 2 ? strpos(self::LETTERS, $character) : strpos(self::DIGITS, $character);
            $sum += (int) $value * ($place % 6 + 1);
        }

        return self::LETTERS[$sum % 7];
    }
}
