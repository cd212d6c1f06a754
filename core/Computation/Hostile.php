<?php

declare(strict_types=1);

namespace OddBench\Computation;

use OddBench\Input\Contents;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/** Inputs that wish a computation ill: figures of no measure, wrong types, endless lists, torn JSON, files that are none. Seeded. */
final readonly class Hostile
{
    /** Keys whose value is what is in a file. */
    public const FILES = ['wav_file', 'csv_file', 'file'];

    private const NUMBERS = [
        0,
        -0.0,
        1,
        -1,
        1e-320,
        1e-200,
        1e-18,
        -1e-18,
        1e-9,
        0.5,
        3.5,
        1e8,
        1e15,
        9_007_199_254_740_993,
        1e200,
        1e308,
        -1e308,
        PHP_INT_MAX,
        PHP_INT_MIN,
        10_000,
        999_999,
        104,
    ];

    private const TEXTS = [
        '',
        ' ',
        "\0",
        "\u{202E}abc",
        '../../etc/passwd',
        '<script>alert(1)</script>',
        '%s%n%d',
        'NaN',
        'INF',
        '1e400',
        "a\nb\r\nc",
        '🔥🔥🔥',
        'M3×',
        '2026-02-30',
        '0',
    ];

    private function __construct(public string $json, private string $bytes)
    {
    }

    /**
     * @param  array<string, mixed>  $example  an input that is well
     * @param  int  $seed  the same gives the same
     */
    public static function from(array $example, int $seed): self
    {
        $random = new Randomizer(new Mt19937($seed));
        $bytes = '';
        foreach (self::FILES as $key) {
            if (is_string($example[$key] ?? null)) {
                $bytes = $random->getInt(0, 3) === 0 ? $example[$key] : self::torn($example[$key], $random);
                $example[$key] = 'a-file';
            }
        }
        $input = $example;
        for ($i = $random->getInt(1, 3); $i > 0; $i--) {
            $input = self::changed($input, $random);
        }
        $json = (string) json_encode($input, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR);

        return new self($random->getInt(0, 7) === 0 ? self::tornJson($json, $random) : $json, $bytes);
    }

    /**
     * @param  array<array-key, mixed>  $input
     * @return array<array-key, mixed> with its file opened
     */
    public function opened(array $input): array
    {
        foreach (self::FILES as $key) {
            if (is_string($input[$key] ?? null)) {
                $input[$key] = Contents::text($this->bytes);
            }
        }

        return $input;
    }

    private static function changed(mixed $value, Randomizer $random): mixed
    {
        if (is_array($value) && $value !== [] && $random->getInt(0, 9) > 0) {
            $key = array_keys($value)[$random->getInt(0, count($value) - 1)];

            return match ($random->getInt(0, 11)) {
                0 => array_diff_key($value, [$key => 0]),
                1 => $value + ['surprise' => self::anything($random)],
                2 => array_is_list($value) ? self::many($value, $random) : [...$value, "{$key} " => $value[$key]],
                default => [...$value, $key => self::changed($value[$key], $random)],
            };
        }

        return match (true) {
            is_int($value), is_float($value) => match ($random->getInt(0, 5)) {
                0 => self::anything($random),
                1, 2 => self::number($random),
                // near enough to be taken
                default => $random->getInt(0, 1) === 0
                    ? (int) ($value * $random->getInt(0, 20))
                    : $value * 10 ** ($random->getInt(-200, 200) / 100),
            },
            is_string($value) && str_contains($value, "\n") => self::torn($value, $random),
            default => self::anything($random),
        };
    }

    private static function number(Randomizer $random): float|int
    {
        return $random->getInt(0, 1) === 0
            ? self::NUMBERS[$random->getInt(0, count(self::NUMBERS) - 1)]
            : ($random->getInt(-1000, 1000) / 1000) * 10 ** $random->getInt(-12, 12);
    }

    private static function anything(Randomizer $random): mixed
    {
        return match ($random->getInt(0, 12)) {
            0 => null, 1 => true, 2 => [], 3 => new stdClass, 4 => [[]], 5 => self::number($random),
            6 => str_repeat('long ', $random->getInt(1, 20_000)),
            7 => self::deep($random->getInt(2, 80)),
            8 => array_fill(0, $random->getInt(1, 100_000), self::number($random)),
            9 => ['a' => 1, 'b' => ['c' => null]],
            10 => (string) self::number($random),
            default => self::TEXTS[$random->getInt(0, count(self::TEXTS) - 1)],
        };
    }

    private static function deep(int $levels): mixed
    {
        $value = 1;
        for (; $levels > 0; $levels--) {
            $value = [$value];
        }

        return $value;
    }

    /**
     * @param  list<mixed>  $list
     * @return list<mixed>
     */
    private static function many(array $list, Randomizer $random): array
    {
        $copies = min(20_000, 10 ** $random->getInt(1, 4));
        $many = [];
        for ($i = 0; $i < $copies; $i++) {
            $many[] = $list[$i % count($list)];
        }

        return $many;
    }

    /** Text or bytes with something wrong in them. */
    private static function torn(string $bytes, Randomizer $random): string
    {
        $length = max(1, strlen($bytes));
        $at = $random->getInt(0, $length - 1);

        return match ($random->getInt(0, 8)) {
            0 => substr($bytes, 0, $at),
            1 => substr_replace($bytes, $random->getBytes(max(1, $random->getInt(1, 40))), $at, $random->getInt(0, 40)),
            2 => substr_replace($bytes, (string) self::number($random), $at, $random->getInt(0, 6)),
            3 => str_repeat($bytes, max(1, min(2000, intdiv(4_000_000, $length)))),
            4 => str_replace("\n", '', $bytes).str_repeat(substr($bytes, 0, 100), 5000),
            5 => $random->getBytes(max(1, $random->getInt(1, 5000))),
            6 => (string) preg_replace_callback(
                '/\d+/',
                static fn (array $m): string => $random->getInt(0, 20) === 0 ? (string) self::number($random) : $m[0],
                $bytes,
            ),
            7 => strrev($bytes),
            default => $bytes."\n".self::TEXTS[$random->getInt(0, count(self::TEXTS) - 1)],
        };
    }

    private static function tornJson(string $json, Randomizer $random): string
    {
        return match ($random->getInt(0, 5)) {
            0 => substr($json, 0, $random->getInt(0, max(1, strlen($json) - 1))),
            1 => '['.$json.']',
            2 => str_repeat('[', 100_000).$json,
            3 => (string) preg_replace('/\{/', '{"twice":"'.str_repeat('x', 9000).'","twice":1,', $json, 1),
            4 => substr_replace($json, $random->getBytes(4), $random->getInt(0, max(1, strlen($json) - 1)), 1),
            default => (string) preg_replace('/-?\d+(\.\d+)?/', '1e400', $json, 1),
        };
    }
}
