<?php

declare(strict_types=1);

namespace Tests\Core\Computation;

/** Inputs next to one that is well: each value moved a little, moved out of every range, of another kind, left out, and one too many. */
final class Neighbours
{
    /** Of a long list the first, the second and the last are moved. */
    private const ENDS = 3;

    /**
     * @param  array<array-key, mixed>  $input
     * @return iterable<string, array<array-key, mixed>>  what was done => the input
     */
    public static function of(array $input): iterable
    {
        yield 'as it is' => $input;
        yield 'one more' => [...$input, 'zz' => 7];
        foreach (self::values($input, '') as $path => $value) {
            foreach (self::instead($value) as $how => $other) {
                yield "{$path} {$how}" => self::with($input, explode('.', (string) $path), $other);
            }
            yield "{$path} left out" => self::with($input, explode('.', (string) $path), null);
        }
    }

    /**
     * @param  array<array-key, mixed>  $input
     * @return iterable<string, mixed> path => value
     */
    private static function values(array $input, string $path): iterable
    {
        $keys = array_keys($input);
        if (array_is_list($input) && count($keys) > self::ENDS) {
            $keys = [0, 1, count($keys) - 1];
        }
        foreach ($keys as $key) {
            $here = $path === '' ? (string) $key : "{$path}.{$key}";
            yield $here => $input[$key];
            if (is_array($input[$key])) {
                yield from self::values($input[$key], $here);
            }
        }
    }

    /** @return array<string, mixed> what is done => the value */
    private static function instead(mixed $value): array
    {
        return match (true) {
            is_int($value), is_float($value) => [
                'a tenth more' => is_int($value) ? $value + max(1, intdiv($value, 10)) : $value * 1.1,
                'half' => is_int($value) ? intdiv($value, 2) : $value / 2,
                'none' => 0,
                'next to none' => 1e-9,
                'beyond' => 1e12,
                'below' => -1e12,
                'as a text' => 'much',
            ],
            is_bool($value) => ['turned round' => ! $value, 'as a text' => 'yes'],
            is_string($value) => [
                'another' => 'zz',
                'empty' => '',
                'a number' => 3,
                'half of it' => substr($value, 0, intdiv(strlen($value), 2)),
            ],
            is_array($value) => [
                'empty' => [],
                'a text' => 'zz',
                'one more' => array_is_list($value) ? [...$value, 7] : [...$value, 'zz' => 7],
            ],
            default => [],
        };
    }

    /**
     * @param  array<array-key, mixed>  $input
     * @param  list<string>  $path
     * @return array<array-key, mixed>
     */
    private static function with(array $input, array $path, mixed $value): array
    {
        $key = array_shift($path);
        if ($path !== [] && is_array($input[$key])) {
            $input[$key] = self::with($input[$key], $path, $value);
        } elseif ($value === null) {
            $list = array_is_list($input);
            unset($input[$key]);
            $input = $list ? array_values($input) : $input;
        } else {
            $input[$key] = $value;
        }

        return $input;
    }
}
