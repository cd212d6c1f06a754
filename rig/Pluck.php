<?php

declare(strict_types=1);

namespace OddBench\Rig;

use Random\Randomizer;

/** A stand-in for a plucked belt and a microphone: makes the sound of one as a WAV file. */
final readonly class Pluck
{
    /**
     * @param  float  $frequency  fundamental, Hz
     * @param  float  $decay  seconds until it has fallen to 1/e
     * @param  list<float>  $levels  of the fundamental and its harmonics, as amplitudes
     * @param  float|null  $signalToNoise  dB over the first half second; null for no noise
     */
    public function __construct(
        private float $frequency,
        private float $decay = 0.5,
        private array $levels = [1.0, 0.5, 0.25, 0.12],
        private ?float $signalToNoise = null,
        private float $seconds = 1.2,
        private float $silenceBefore = 0.15,
    ) {
    }

    /** @return list<float> −1 to 1 */
    public function samples(int $rate, Randomizer $random): array
    {
        $before = (int) ($this->silenceBefore * $rate);
        $samples = array_fill(0, $before, 0.0);
        $power = 0.0;
        for ($i = 0, $n = (int) ($this->seconds * $rate); $i < $n; $i++) {
            $t = $i / $rate;
            $value = 0.0;
            foreach ($this->levels as $k => $level) {
                $value += $level * sin(2 * M_PI * ($k + 1) * $this->frequency * $t + 0.7 * $k) * exp(-$t * (1 + 0.3 * $k) / $this->decay);
            }
            $power += $t < 0.5 ? $value ** 2 : 0.0;
            $samples[] = $value;
        }
        $noise = $this->signalToNoise === null ? 0.0 : sqrt($power / max(1, (int) (0.5 * $rate)) / 10 ** ($this->signalToNoise / 10));
        $noisy = array_map(static fn (float $v): float => $noise > 0 ? $v + $noise * self::normal($random) : $v, $samples);
        $most = max([1e-9, ...array_map(abs(...), $noisy)]);

        return array_map(static fn (float $v): float => 0.8 * $v / $most, $noisy);
    }

    /**
     * A WAV file of these samples.
     *
     * @param  list<float>  $samples  −1 to 1
     * @param  '8'|'16'|'24'|'32'|'float'  $depth
     */
    public static function wav(array $samples, int $rate, string $depth = '16', int $channels = 1): string
    {
        $bits = $depth === 'float' ? 32 : (int) $depth;
        $data = '';
        foreach ($samples as $value) {
            $value = max(-1.0, min(1.0, $value));
            $one = match ($depth) {
                '8' => pack('C', (int) round(127 * $value) + 128),
                '16' => pack('v', ((int) round(32_767 * $value)) & 0xFFFF),
                '24' => substr(pack('V', ((int) round(8_388_607 * $value)) & 0xFFFFFF), 0, 3),
                '32' => pack('V', ((int) round(2_147_483_647 * $value)) & 0xFFFFFFFF),
                default => pack('g', $value),
            };
            $data .= str_repeat($one, $channels);
        }
        $frame = $channels * intdiv($bits, 8);

        return 'RIFF'.pack('V', 36 + strlen($data)).'WAVEfmt '.pack(
            'VvvVVvv',
            16,
            $depth === 'float' ? 3 : 1,
            $channels,
            $rate,
            $rate * $frame,
            $frame,
            $bits,
        ).'data'.pack('V', strlen($data)).$data;
    }

    /** Normally distributed (Box and Muller 1958). */
    public static function normal(Randomizer $random): float
    {
        $u = ($random->getInt(1, 1_000_000_000)) / 1_000_000_000;

        return sqrt(-2 * log($u)) * cos(2 * M_PI * $random->getInt(0, 999_999_999) / 1_000_000_000);
    }
}
