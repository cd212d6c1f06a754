<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/**
 * One command of G-code cut up by its letters, with or without blanks between (“G1X1Y2”). A letter begins a word and digits
 * end it: no exponents, “X1E5” is X1 and E5.
 */
final readonly class GcodeWords
{
    /** Commands whose rest is a text or a name, not words. */
    private const WITH_TEXT = [
        'M16',
        'M20',
        'M23',
        'M28',
        'M30',
        'M32',
        'M33',
        'M36',
        'M37',
        'M38',
        'M98',
        'M115',
        'M117',
        'M118',
        'M486',
        'M550',
        'M587',
        'M928',
    ];

    /** No axis, feed or temperature of a machine reaches this. */
    private const ABSURD = 1e6;

    /**
     * @param  string  $command  such as G1, M104, T0; empty when it is none
     * @param  array<string, float>  $values  letter => number
     * @param  list<array{string, string}>  $wrong  kind, message
     */
    private function __construct(public string $command, public array $values, public array $wrong, public bool $named = false)
    {
    }

    /** @param  string  $code  without comment, number and checksum; not empty */
    public static function of(string $code): self
    {
        if (preg_match('/^([GMTD])\s*(-?\d+(?:\.\d+)?)/i', $code, $found) !== 1) {
            // a macro by its name: letters first, at least three of them
            return preg_match('/^[A-Za-z][A-Za-z_]{2}[A-Za-z0-9_.]*(\s|$)/', $code) === 1
                ? new self('', [], [], true)
                : new self('', [], [['unreadable', sprintf('“%s” is no command.', self::shown(explode(' ', $code)[0]))]]);
        }
        $number = ltrim($found[2], '0');
        $command = strtoupper($found[1]).($number === '' || $number[0] === '.' ? "0{$number}" : $number);
        $rest = substr($code, strlen($found[0]));
        if ($rest === '' || in_array($command, self::WITH_TEXT, true)) {
            return new self($command, [], []);
        }

        return self::words($command, strtoupper($rest));
    }

    private static function words(string $command, string $rest): self
    {
        $values = $wrong = [];
        preg_match_all('/([A-Z])\s*([-+]?(?:\d+\.?\d*|\.\d+))?|[^\sA-Z]+/', $rest, $found, PREG_SET_ORDER);
        foreach ($found as $word) {
            $letter = $word[1] ?? '';
            if ($letter === 'G' || ($letter === 'M' && isset($word[2]))) {
                $wrong[] = [
                    'two-commands',
                    sprintf('“%s” stands behind another command; this firmware reads the first of a line only.', self::shown($word[0])),
                ];
                break;
            }
            if ($letter === '') {
                $wrong[] = ['unreadable', sprintf('“%s” is no number.', self::shown($word[0]))];
            } elseif (isset($word[2])) {
                $value = (float) $word[2];
                if (abs($value) > self::ABSURD) {
                    $wrong[] = ['absurd', sprintf('“%s” is beyond anything a machine does; it is left out.', self::shown($word[0]))];
                } else {
                    $values[$letter] = $value;
                }
            } elseif (in_array($letter, ['E', 'F', 'I', 'J', 'K', 'R'], true) || (in_array($letter, ['X', 'Y', 'Z'], true) && $command !== 'G28')) {
                $wrong[] = ['unreadable', sprintf('“%s” has no number behind it.', $letter)];
            } else {
                $values[$letter] ??= 0.0;
            }
        }

        return new self($command, $values, $wrong);
    }

    private static function shown(string $text): string
    {
        return mb_strcut(mb_scrub($text), 0, 40);
    }
}
