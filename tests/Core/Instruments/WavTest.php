<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Input\InputError;
use OddBench\Instruments\Wav;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Against the RIFF WAVE layout (Multimedia Programming Interface and Data Specifications 1.0, 1991): bytes written out by hand. */
final class WavTest extends TestCase
{
    /** @return iterable<string, array{int, int, string, list<float>}> kind, bits, data, samples */
    public static function depths(): iterable
    {
        yield '8 bits are unsigned, 128 is silence' => [1, 8, "\x00\x80\xC0\xFF", [-1.0, 0.0, 0.5, 127 / 128]];
        yield '16 bits, little end first' => [1, 16, "\x00\x80\x00\x00\x00\x40\xFF\xFF", [-1.0, 0.0, 0.5, -1 / 32768]];
        yield '24 bits' => [1, 24, "\x00\x00\x80\x00\x00\x00\x00\x00\x40\xFF\xFF\xFF", [-1.0, 0.0, 0.5, -1 / 8388608]];
        yield '32 bits' => [1, 32, "\x00\x00\x00\x80\x00\x00\x00\x00\x00\x00\x00\x40\xFF\xFF\xFF\xFF", [-1.0, 0.0, 0.5, -1 / 2147483648]];
        // IEEE 754: 0xBF800000 is −1, 0x3F000000 a half, 0x7F800000 infinite
        yield '32-bit float; what is no number is silence' => [3, 32, "\x00\x00\x80\xBF\x00\x00\x00\x3F\x00\x00\x80\x7F", [-1.0, 0.5, 0.0]];
    }

    /** @param  list<float>  $samples */
    #[DataProvider('depths')]
    public function test_every_depth_is_read_to_the_bit(int $kind, int $bits, string $data, array $samples): void
    {
        $wav = Wav::read(self::file($kind, 1, 8000, $bits, $data), 'recording', 10);

        self::assertSame(8000.0, $wav->rate);
        self::assertSame($samples, $wav->samples);
    }

    public function test_two_channels_become_their_mean_and_a_torn_last_frame_is_left(): void
    {
        $data = pack('v*', 0x4000, 0x2000, 0xC000, 0x4000).pack('v', 0x7FFF);

        self::assertSame([0.375, 0.0], Wav::read(self::file(1, 2, 44_100, 16, $data), 'recording', 10)->samples);
    }

    public function test_chunks_it_does_not_know_are_passed_over_with_their_padding(): void
    {
        $data = pack('v*', 0x4000, 0xC000);
        $list = 'LIST'.pack('V', 3)."abc\0";

        self::assertSame([0.5, -0.5], Wav::read(self::file(1, 1, 8000, 16, $data, $list), 'recording', 10)->samples);
    }

    public function test_the_extensible_header_names_its_kind_further_in(): void
    {
        $format = pack('vvVVvv', 0xFFFE, 1, 48_000, 96_000, 2, 16).pack('vvVv', 22, 16, 4, 1).str_repeat("\0", 14);
        $bytes = 'WAVEfmt '.pack('V', strlen($format)).$format.'data'.pack('V', 4).pack('v*', 0x4000, 0xC000);

        self::assertSame([0.5, -0.5], Wav::read('RIFF'.pack('V', strlen($bytes)).$bytes, 'recording', 10)->samples);
    }

    public function test_no_more_than_so_many_seconds_are_taken(): void
    {
        self::assertCount(8000, Wav::read(self::file(1, 1, 8000, 8, str_repeat("\x80", 20_000)), 'recording', 1)->samples);
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrong(): iterable
    {
        $good = self::file(1, 1, 8000, 16, pack('v*', 1, 2, 3, 4));
        yield 'too short' => [substr($good, 0, 30), 'no WAV file'];
        yield 'another container' => ['RIFX'.substr($good, 4), 'no WAV file'];
        yield 'no samples' => [str_replace('data', 'junk', $good), 'damaged'];
        yield 'no format' => [str_replace('fmt ', 'junk', $good), 'damaged'];
        yield 'too slow' => [self::file(1, 1, 4000, 16, pack('v*', 1, 2)), '8 to 96 kHz'];
        yield 'too many channels' => [self::file(1, 6, 48_000, 16, pack('v*', 1, 2, 3, 4, 5, 6)), 'one or two channels'];
        yield 'a packed kind' => [self::file(2, 1, 8000, 4, 'abcdefgh'), 'save it as 16-bit PCM'];
        yield 'an odd depth' => [self::file(1, 1, 8000, 12, 'abcdefgh'), '12 bits'];
    }

    #[DataProvider('wrong')]
    public function test_what_it_cannot_read_is_refused_with_the_way_out(string $bytes, string $words): void
    {
        try {
            Wav::read($bytes, 'recording', 10);
            self::fail('It was read.');
        } catch (InputError $e) {
            self::assertSame('recording', $e->field);
            self::assertStringContainsString($words, $e->getMessage());
        }
    }

    private static function file(int $kind, int $channels, int $rate, int $bits, string $data, string $before = ''): string
    {
        $frame = $channels * intdiv($bits, 8);
        $body = 'WAVEfmt '.pack(
            'VvvVVvv',
            16,
            $kind,
            $channels,
            $rate,
            $rate * $frame,
            $frame,
            $bits,
        ).$before.'data'.pack('V', strlen($data)).$data;

        return 'RIFF'.pack('V', strlen($body)).$body;
    }
}
