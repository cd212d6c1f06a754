<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Input\InputError;

/** Samples of a WAV file: 8, 16, 24 or 32-bit PCM or 32-bit float, mono or stereo, 8 to 96 kHz; stereo is mixed to one. */
final readonly class Wav
{
    private const PCM = 1;

    private const FLOAT = 3;

    private const EXTENSIBLE = 0xFFFE;

    /**
     * @param  float  $rate  samples in a second
     * @param  list<float>  $samples  −1 to 1
     */
    private function __construct(public float $rate, public array $samples)
    {
    }

    /** @param  list<float>  $samples */
    public static function of(float $rate, array $samples): self
    {
        return new self($rate, $samples);
    }

    /** @throws InputError when it is no such file */
    public static function read(string $bytes, string $field, float $mostSeconds): self
    {
        if (strlen($bytes) < 44 || ! str_starts_with($bytes, 'RIFF') || substr($bytes, 8, 4) !== 'WAVE') {
            throw InputError::at($field, 'This is no WAV file.');
        }
        [$format, $data] = [self::chunk($bytes, 'fmt '), self::chunk($bytes, 'data')];
        if ($format === null || strlen($format) < 16 || $data === null) {
            throw InputError::at($field, 'This WAV file is damaged: its format or its samples are missing.');
        }
        /** @var array{kind: int, channels: int, rate: int, bits: int} $of */
        $of = unpack('vkind/vchannels/Vrate/x6/vbits', $format);
        $kind = $of['kind'] === self::EXTENSIBLE && strlen($format) >= 26 ? self::number('v', substr($format, 24, 2)) : $of['kind'];
        if ($of['rate'] < 8000 || $of['rate'] > 96_000 || $of['channels'] < 1 || $of['channels'] > 2) {
            throw InputError::at($field, 'Record one or two channels at 8 to 96 kHz.');
        }
        $frame = $of['channels'] * intdiv($of['bits'], 8);
        $data = substr($data, 0, $frame * (int) ceil($mostSeconds * $of['rate']));
        $values = self::values(substr($data, 0, strlen($data) - strlen($data) % max(1, $frame)), $kind, $of['bits'], $field);

        return new self($of['rate'], $of['channels'] === 1 ? $values : self::mixed($values));
    }

    private static function chunk(string $bytes, string $name): ?string
    {
        for ($at = 12; $at + 8 <= strlen($bytes);) {
            $size = self::number('V', substr($bytes, $at + 4, 4));
            if (substr($bytes, $at, 4) === $name) {
                return substr($bytes, $at + 8, $size);
            }
            $at += 8 + $size + $size % 2;
        }

        return null;
    }

    /** @return list<float> */
    private static function values(string $data, int $kind, int $bits, string $field): array
    {
        $raw = match (true) {
            $kind === self::PCM && $bits === 8 => array_map(static fn (int $v): float => ($v - 128) / 128, self::unpacked('C*', $data)),
            $kind === self::PCM && $bits === 16 => array_map(
                static fn (int $v): float => ($v >= 0x8000 ? $v - 0x10000 : $v) / 0x8000,
                self::unpacked('v*', $data),
            ),
            $kind === self::PCM && $bits === 24 => self::of24($data),
            $kind === self::PCM && $bits === 32 => array_map(
                static fn (int $v): float => ($v >= 0x80000000 ? $v - 0x100000000 : $v) / 0x80000000,
                self::unpacked('V*', $data),
            ),
            $kind === self::FLOAT && $bits === 32 => array_values(array_map(
                static fn (mixed $v): float => is_float($v) && is_finite($v) ? $v : 0.0,
                unpack('g*', $data) ?: [],
            )),
            default => throw InputError::at($field, "WAV of kind {$kind} with {$bits} bits is not read; save it as 16-bit PCM."),
        };

        return $raw;
    }

    /** @return list<int> */
    private static function unpacked(string $format, string $data): array
    {
        return array_values(array_filter(unpack($format, $data) ?: [], is_int(...)));
    }

    private static function number(string $format, string $bytes): int
    {
        return self::unpacked($format, $bytes)[0] ?? 0;
    }

    /** @return list<float> */
    private static function of24(string $data): array
    {
        $values = [];
        for ($i = 0, $n = strlen($data) - 2; $i < $n; $i += 3) {
            $v = ord($data[$i]) | ord($data[$i + 1]) << 8 | ord($data[$i + 2]) << 16;
            $values[] = (float) ($v >= 0x800000 ? $v - 0x1000000 : $v) / 0x800000;
        }

        return $values;
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function mixed(array $values): array
    {
        $mixed = [];
        for ($i = 0, $n = count($values) - 1; $i < $n; $i += 2) {
            $mixed[] = ($values[$i] + $values[$i + 1]) / 2;
        }

        return $mixed;
    }
}
