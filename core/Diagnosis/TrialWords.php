<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/**
 * A verdict on a row of trial prints, in words.
 *
 * @phpstan-import-type Effect from TrialEffects
 */
final readonly class TrialWords
{
    /**
     * @param  list<Trial>  $trials
     * @param  list<Effect>  $effects
     * @param  list<array{settings: list<string>, effect: float, same_as: list<list<string>>}>  $interactions
     * @param  'matters'|'may'|'chance'|'once'|'none'  $standsOut
     * @return array{'ok'|'watch'|'out', string}
     */
    public static function of(
        array $trials,
        array $effects,
        array $interactions,
        string $standsOut,
        ?float $repeat,
        bool $design,
    ): array {
        $stopped = count(array_filter($trials, static fn (Trial $t): bool => $t->stopped));
        $note = $stopped === 0 ? '' : sprintf(
            ' %d of the trials %s stopped early: rate those for what was seen.',
            $stopped,
            $stopped === 1 ? 'was' : 'were',
        );
        if (count($trials) < 2 || $effects === []) {
            return [
                'watch',
                (count($trials) < 2
                    ? 'One trial says nothing yet: change one setting and print it again.'
                    : 'No two trials differ in one setting alone: change one thing at a time.').$note,
            ];
        }
        $top = $effects[0];
        $better = $top['effect'] > 0 ? [$top['low'], $top['high']] : [$top['high'], $top['low']];
        $rises = sprintf('from %s to %s', self::said($better[0]), self::said($better[1]));
        $by = self::plain(abs($top['effect']));
        if ($standsOut !== 'matters') {
            return match ($standsOut) {
                'none' => ['out', 'No setting makes any difference. Look for a fault in the machine.'.$note],
                'chance' => [
                    'out',
                    sprintf(
                        'No setting makes a difference that counts: the largest, %s, changes the rating by %s, and prints set alike '
                        .'differ by %s. Look for a fault in the machine.',
                        $top['setting'],
                        $by,
                        self::plain($repeat ?? 0.0),
                    ).$note,
                ],
                'once' => [
                    'watch',
                    sprintf(
                        '%s %s was better by %s, once. That may be chance: print both again before believing it.',
                        ucfirst($top['setting']),
                        $rises,
                        $by,
                    ).$note,
                ],
                default => [
                    'watch',
                    sprintf(
                        '%s %s was better by %s, but chance may make as much here: print the better and the worse one again.',
                        ucfirst($top['setting']),
                        $rises,
                        $by,
                    ).$note,
                ],
            };
        }
        $words = sprintf(
            '%s matters: from %s to %s the rating rises by %s%s.',
            ucfirst($top['setting']),
            self::said($better[0]),
            self::said($better[1]),
            self::plain(abs($top['effect'])),
            $design ? ' in the mean' : '',
        );
        $strong = $interactions[0] ?? null;
        if ($strong !== null && count($strong['settings']) === 2 && abs($strong['effect']) > abs($top['effect']) / 3) {
            $words .= sprintf(
                ' %s work together (%s): judge them as a pair.',
                ucfirst(self::and($strong['settings'])),
                self::plain($strong['effect']),
            );
        }

        return ['ok', $words.$note];
    }

    private static function said(float|string|null $value): string
    {
        return $value === null ? 'not set' : (is_float($value) ? self::plain($value) : $value);
    }

    private static function plain(float $number): string
    {
        return (string) round($number, 2);
    }

    /** @param  list<string>  $names */
    public static function and(array $names): string
    {
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names)." and {$last}";
    }
}
