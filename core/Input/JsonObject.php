<?php

declare(strict_types=1);

namespace OddBench\Input;

use stdClass;
use Throwable;

/**
 * One JSON object from text, and back. A name that stands twice in an object is refused: a decoder would keep the last and lose
 * the other without a word (RFC 8259, section 4, calls such an object’s meaning unpredictable). Its size is looked at before it
 * is taken apart, so that no text takes more memory than a computation may.
 */
final class JsonObject
{
    private const DEPTH = 64;

    private const MOST_BYTES = 16 * 1024 * 1024;

    /** Objects and lists; values in them. */
    private const MOST_CONTAINERS = 150_000;

    private const MOST_VALUES = 1_500_000;

    /**
     * @return array<array-key, mixed>
     *
     * @throws InputError
     */
    public static function decode(string $text): array
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw InputError::at(
                'input',
                sprintf(
                    'The input is larger than %d MB. A log or a G-code file goes in by its name.',
                    intdiv(self::MOST_BYTES, 1024 * 1024),
                ),
            );
        }
        $doubled = self::walk($text);
        try {
            $value = json_decode($text, true, self::DEPTH, JSON_THROW_ON_ERROR);
        } catch (Throwable $e) {
            throw InputError::at('input', "Standard input must hold one JSON object: {$e->getMessage()}.");
        }
        if (! is_array($value)
            || ($value === [] ? trim($text) !== '{}' && ! str_starts_with(ltrim($text), '{') : array_is_list($value) && ! str_starts_with(ltrim($text), '{'))) {
            throw InputError::at('input', 'Standard input must hold one JSON object.');
        }
        if ($doubled !== null) {
            throw InputError::at($doubled, "{$doubled} stands twice: which of the two is right?");
        }

        return $value;
    }

    /**
     * A map of names as it is written: an empty one is an object, not a list.
     *
     * @param  array<string, mixed>  $map
     * @return array<string, mixed>|stdClass
     */
    public static function map(array $map): array|stdClass
    {
        return $map === [] ? new stdClass : $map;
    }

    /**
     * Goes once through the text, whatever it holds: counts, and finds the first name that stands twice in its object.
     *
     * @return string|null its path
     *
     * @throws InputError when there is more than may be taken apart
     */
    private static function walk(string $text): ?string
    {
        /**
         * @var list<array{bool, array<string, true>, string}> $open objects and lists around: is it an object, its names, the present name
         */
        $open = [];
        $containers = $values = 0;
        $doubled = null;
        for ($at = strcspn($text, '"{}[],'), $end = strlen($text); $at < $end; $at += strcspn($text, '"{}[],', $at)) {
            $sign = $text[$at];
            $top = count($open) - 1;
            if ($sign === '"') {
                $from = $at++;
                while (($at += strcspn($text, '"\\', $at)) < $end && $text[$at] === '\\') {
                    $at += 2;
                }
                $at++;
                $next = $at + strspn($text, " \t\r\n", $at);
                if ($doubled === null && $top >= 0 && $open[$top][0] && ($text[$next] ?? '') === ':') {
                    $name = json_decode(substr($text, $from, $at - $from));
                    $open[$top][2] = is_string($name) ? $name : '';
                    $doubled = isset($open[$top][1][$open[$top][2]]) ? implode(
                        '.',
                        array_filter(array_column($open, 2), static fn (string $part): bool => $part !== ''),
                    ) : null;
                    $open[$top][1][$open[$top][2]] = true;
                }

                continue;
            }
            $at++;
            if ($sign === '{' || $sign === '[') {
                $containers++;
                $open[] = [$sign === '{', [], ''];
            } elseif ($sign === ',') {
                $values++;
            } else {
                array_pop($open);
            }
            if ($containers > self::MOST_CONTAINERS || $values > self::MOST_VALUES || count($open) > self::DEPTH) {
                throw InputError::at(
                    'input',
                    count($open) > self::DEPTH ? sprintf('The input is nested more than %d deep.', self::DEPTH) : sprintf(
                        'The input holds more than %d lists and objects, or %d values: that is more than any bench asks.',
                        self::MOST_CONTAINERS,
                        self::MOST_VALUES,
                    ),
                );
            }
        }

        return $doubled;
    }
}
