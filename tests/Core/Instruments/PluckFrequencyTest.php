<?php

declare(strict_types=1);

namespace Tests\Core\Instruments;

use OddBench\Input\Contents;
use OddBench\Rig\Pluck;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Sample;

/** Generated plucks of known pitch. */
final class PluckFrequencyTest extends InstrumentTestCase
{
    /** @return iterable<string, array{float, int, '8'|'16'|'24'|'32'|'float', int}> */
    public static function plucks(): iterable
    {
        yield 'the lowest' => [20.0, 8000, '16', 1];
        yield 'a long belt' => [31.7, 16_000, '16', 1];
        yield 'a usual one' => [110.0, 44_100, '16', 1];
        yield 'stereo' => [87.3, 48_000, '16', 2];
        yield '8 bits' => [146.8, 22_050, '8', 1];
        yield '24 bits' => [233.1, 44_100, '24', 1];
        yield '32 bits' => [311.1, 96_000, '32', 1];
        yield 'float' => [440.0, 44_100, 'float', 2];
        yield 'the highest' => [500.0, 44_100, '16', 1];
    }

    /** @param  '8'|'16'|'24'|'32'|'float'  $depth */
    #[DataProvider('plucks')]
    public function test_the_pitch_is_found_within_one_percent_at_ten_decibels(float $hz, int $rate, string $depth, int $channels): void
    {
        foreach (Sample::one(1, 2, 3) as $seed) {
            $result = $this->hear(new Pluck($hz, signalToNoise: 10), $rate, $depth, $channels, $seed);
            self::assertEqualsWithDelta(1.0, $result['frequency_hz'] / $hz, 0.01);
            self::assertGreaterThan(0.5, $result['confidence']);
        }
    }

    /** @return iterable<string, array{float}> */
    public static function pitches(): iterable
    {
        foreach (Sample::of([24.0, 55.0, 98.0, 130.8, 220.0, 330.0, 480.0, 40.0, 75.0, 400.0]) as $hz) {
            yield "{$hz} Hz" => [$hz];
        }
    }

    #[DataProvider('pitches')]
    public function test_a_second_harmonic_six_decibels_stronger_does_not_double_it(float $hz): void
    {
        $result = $this->hear(new Pluck($hz, levels: [0.5, 1.0, 0.2], signalToNoise: 10), 44_100, '16', 1, 4);

        self::assertEqualsWithDelta(1.0, $result['frequency_hz'] / $hz, 0.01);
        self::assertSame(0.0, $result['harmonics'][1]['level_db'], 'the second is the strongest');
        self::assertEqualsWithDelta(-6.0, $result['harmonics'][0]['level_db'], 2.0);
    }

    public function test_without_noise_it_is_found_to_a_tenth_of_a_percent(): void
    {
        foreach (Sample::of([27.5, 82.4, 110.0, 196.0, 392.0]) as $hz) {
            self::assertEqualsWithDelta(1.0, $this->hear(new Pluck($hz), 44_100, '16', 1, 1)['frequency_hz'] / $hz, 0.001);
        }
    }

    public function test_silence_and_noise_are_not_believed(): void
    {
        $rate = 16_000;
        $random = new Randomizer(new Mt19937(9));
        $white = array_map(static fn (): float => 0.2 * Pluck::normal($random), range(1, $rate));
        // speech-like: noise in two bands that wander, swelling and fading by syllables
        $speech = [];
        $y = [0.0, 0.0, 0.0, 0.0];
        for ($i = 0; $i < $rate; $i++) {
            $t = $i / $rate;
            $f = [300 + 200 * sin(2 * M_PI * 2.3 * $t), 1100 + 500 * sin(2 * M_PI * 3.1 * $t)];
            $value = 0.0;
            foreach ($f as $k => $hz) {
                $r = 0.97;
                $next = Pluck::normal($random) + 2 * $r * cos(2 * M_PI * $hz / $rate) * $y[2 * $k] - $r * $r * $y[2 * $k + 1];
                [$y[2 * $k + 1], $y[2 * $k]] = [$y[2 * $k], $next];
                $value += $next;
            }
            $speech[] = 0.01 * $value * (0.5 + 0.5 * sin(2 * M_PI * 4 * $t)) ** 2;
        }
        foreach (['silence' => array_fill(0, $rate, 0.0), 'white noise' => $white, 'speech-like noise' => $speech] as $name => $samples) {
            $result = $this->compute('pluck-frequency', ['wav_file' => Contents::text(Pluck::wav($samples, $rate))]);
            self::assertLessThan(0.3, $result['confidence'], $name);
        }
    }

    public function test_short_spans_ring_up_to_a_kilohertz_and_a_half(): void
    {
        foreach (Sample::one(640.0, 1010.0, 1490.0) as $hz) {
            $result = $this->hear(new Pluck($hz, signalToNoise: 10), 44_100, '16', 1, 2);
            self::assertEqualsWithDelta(1.0, $result['frequency_hz'] / $hz, 0.01);
            self::assertGreaterThan(0.5, $result['confidence']);
        }
    }

    /** @return iterable<string, array{callable(float, Randomizer): float}> what sounds at a time, s */
    public static function noPlucks(): iterable
    {
        $tone = static fn (float $hz, float $t): float => 0.3 * sin(2 * M_PI * $hz * $t) + 0.1 * sin(4 * M_PI * $hz * $t) + 0.05 * sin(6 * M_PI * $hz * $t);
        yield 'mains hum' => [static fn (float $t, Randomizer $r): float => $tone(50, $t) + 0.01 * Pluck::normal($r)];
        yield 'mains hum that is switched on' => [static fn (float $t, Randomizer $r): float => ($t > 0.5 ? $tone(100, $t) : 0) + 0.01 * Pluck::normal($r)];
        yield 'a fan that beats' => [static fn (float $t, Randomizer $r): float => $tone(187, $t) * (1 + 0.3 * sin(2 * M_PI * 3 * $t)) + 0.1 * Pluck::normal($r)];
        yield 'a sung note' => [static fn (float $t, Randomizer $r): float => $tone(130, $t) * max(
            0,
            min(1, ($t - 0.3) / 0.05, (1.2 - $t) / 0.15),
        ) + 0.003 * Pluck::normal($r)];
        yield 'syllables of a voice' => [static fn (float $t, Randomizer $r): float => $tone(
            150,
            $t + 0.006 * sin(2 * M_PI * 1.3 * $t),
        ) * max(0, sin(2 * M_PI * 2.2 * $t)) ** 0.7 + 0.005 * Pluck::normal($r)];
        yield 'a clap' => [static fn (float $t, Randomizer $r): float => ($t > 0.3 ? exp(-($t - 0.3) / 0.05) : 0) * 0.3 * Pluck::normal($r)];
    }

    /** @param  callable(float, Randomizer): float  $sounds */
    #[DataProvider('noPlucks')]
    public function test_what_keeps_a_pitch_and_is_no_pluck_is_not_believed(callable $sounds): void
    {
        $random = new Randomizer(new Mt19937(5));
        $samples = array_map(static fn (int $i): float => $sounds($i / 8000, $random), range(0, 15_999));

        self::assertLessThan(
            0.3,
            $this->compute('pluck-frequency', ['wav_file' => Contents::text(Pluck::wav($samples, 8000))])['confidence'],
        );
    }

    public function test_a_pluck_that_hum_makes_unclear_is_not_believed(): void
    {
        // 50 Hz beneath a pluck of 110: together they nearly repeat at 54.5 Hz
        $samples = (new Pluck(110, decay: 0.3, signalToNoise: 30))->samples(8000, new Randomizer(new Mt19937(3)));
        $samples = array_map(
            static fn (float $v, int $i): float => 0.7 * $v + 0.15 * sin(2 * M_PI * 50 * $i / 8000),
            $samples,
            array_keys($samples),
        );
        $result = $this->compute('pluck-frequency', ['wav_file' => Contents::text(Pluck::wav($samples, 8000))]);

        self::assertTrue(abs($result['frequency_hz'] / 110 - 1) < 0.01 || $result['confidence'] < 0.3);
    }

    public function test_two_plucks_are_heard_as_one(): void
    {
        $one = (new Pluck(110, decay: 0.3, signalToNoise: 20, seconds: 0.7))->samples(8000, new Randomizer(new Mt19937(3)));
        $result = $this->compute('pluck-frequency', ['wav_file' => Contents::text(Pluck::wav([...$one, ...$one], 8000))]);

        self::assertEqualsWithDelta(110.0, $result['frequency_hz'], 1.0);
        self::assertGreaterThan(0.5, $result['confidence']);
    }

    public function test_what_is_no_recording_is_refused(): void
    {
        $this->assertRefused('pluck-frequency', [], 'wav_file');
        $this->assertRefused('pluck-frequency', ['wav_file' => 'a path'], 'wav_file');
        $this->assertRefused('pluck-frequency', ['wav_file' => Contents::text('MP3')], 'wav_file');
        $wav = Pluck::wav((new Pluck(110))->samples(16_000, new Randomizer(new Mt19937(1))), 16_000);
        $this->assertRefused('pluck-frequency', ['wav_file' => Contents::text(substr($wav, 0, 30))], 'wav_file');
        $this->assertRefused('pluck-frequency', ['wav_file' => Contents::text(substr($wav, 0, 2000))], 'wav_file');
        $this->assertRefused('pluck-frequency', ['wav_file' => Contents::text(Pluck::wav([0.0, 0.1], 4000))], 'wav_file');
    }

    /**
     * @param  '8'|'16'|'24'|'32'|'float'  $depth
     * @return array<string, mixed>
     */
    private function hear(Pluck $pluck, int $rate, string $depth, int $channels, int $seed): array
    {
        $samples = $pluck->samples($rate, new Randomizer(new Mt19937($seed)));

        return $this->compute('pluck-frequency', ['wav_file' => Contents::text(Pluck::wav($samples, $rate, $depth, $channels))]);
    }
}
