<?php

declare(strict_types=1);

namespace OddBench\Input;

use Throwable;

/**
 * One JSON object from text. A name that stands twice in an object is refused: a decoder would keep the last and lose
 * the other without a word (RFC 8259, section 4, calls such an object’s meaning unpredictable).
 */
final class JsonObject
{
    private const DEPTH = 64;

    /**
     * @return array<array-key, mixed>
     *
     * @throws InputError
     */
    public static function decode(string $text): array
    {
        try {
            $value = json_decode($text, true, self::DEPTH, JSON_THROW_ON_ERROR);
        } catch (Throwable $e) {
            throw InputError::at('input', "Standard input must hold one JSON object: {$e->getMessage()}.");
        }
        if (! is_array($value) || ($value === [] ? trim($text) !== '{}' && ! str_starts_with(ltrim($text), '{') : array_is_list($value))) {
            throw InputError::at('input', 'Standard input must hold one JSON object.');
        }
        self::refuseDoubles($text);

        return $value;
    }

    /** Walks the tokens of text that is known to be valid JSON. */
    private static function refuseDoubles(string $text): void
    {
        preg_match_all('/"(?:[^"\\\\]|\\\\.)*"|[{}\[\],:]/', $text, $tokens);
        /** @var list<array{bool, array<string, true>, string}> $open objects and lists around: is it an object, its names, the present name */
        $open = [];
        foreach ($tokens[0] as $i => $token) {
            $top = count($open) - 1;
            if ($token === '{' || $token === '[') {
                $open[] = [$token === '{', [], ''];
            } elseif ($token === '}' || $token === ']') {
                array_pop($open);
            } elseif ($token[0] === '"' && ($tokens[0][$i + 1] ?? '') === ':') {
                $name = json_decode($token);
                $name = is_string($name) ? $name : '';
                $open[$top][2] = $name;
                if (isset($open[$top][1][$name])) {
                    $path = implode('.', array_filter(array_column($open, 2), static fn (string $part): bool => $part !== ''));
                    throw InputError::at($path, "{$path} stands twice: which of the two is right?");
                }
                $open[$top][1][$name] = true;
            }
        }
    }
}
