<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/**
 * Whether a sound is that of something plucked: it begins at once and then falls exponentially. Hum, a fan’s tone and a sung
 * vowel do not fall, syllables swell and fade. Levels are those of the pitch and its overtones alone, so that noise beside it
 * counts for little.
 */
final readonly class Ringing
{
    private const BLOCK_S = 0.02;

    /** A frame holds so many periods, and s at the least. */
    private const PERIODS = 5.0;

    private const FRAME_S = 0.05;

    private const LONGEST_S = 1.5;

    private const OVERTONES = 4;

    private const FEWEST_FRAMES = 4;

    /** A tone with this share of the power carries the sound. */
    private const CARRIES = 0.1;

    /** dB the sound jumps by as it begins: from none to full belief. */
    private const JUMP_DB = [2.0, 6.0];

    /** dB it falls by while it is heard. */
    private const FALL_DB = [2.0, 6.0];

    /** dB the levels lie beside the straight line, root mean square: from full belief to none. */
    private const BESIDE_DB = [2.0, 4.5];

    /** s in which a belt falls to 1/e, at the most. */
    private const SLOWEST_S = 3.0;

    /** A level that rises by this within the ringing ends it: plucked again, or no pluck. */
    private const AGAIN_DB = 4.0;

    public function __construct(private Wav $signal, private int $onset)
    {
    }

    /** 0 to 1: that it begins suddenly and dies away as what was plucked does. */
    public function belief(float $frequency): float
    {
        return min($this->begins(), $this->tonesBegin($frequency)) * $this->dies($this->levels($frequency));
    }

    private function begins(): float
    {
        $block = max(1, (int) (self::BLOCK_S * $this->signal->rate));
        $after = $this->power($this->onset, 2 * $block);
        $from = max(0, $this->onset - 10 * $block);
        $before = $this->onset - 4 * $block - $from;
        if ($before < 2 * $block) {
            // it was recorded from the pluck on: how it dies away decides
            return 0.9;
        }
        $quiet = $this->power($from, $before);

        return self::ramp(10 * log10(max(1e-20, $after) / max(1e-20, $quiet)), self::JUMP_DB);
    }

    /** Each tone that carries the sound has to begin: one that was there before is a hum, and no part of a pluck. */
    private function tonesBegin(float $frequency): float
    {
        $rate = $this->signal->rate;
        $frame = $this->frame($frequency);
        $from = $this->onset - (int) (2 * self::BLOCK_S * $rate) - $frame;
        if ($from < 0) {
            return 1.0;
        }
        $before = array_slice($this->signal->samples, $from, $frame);
        $after = array_slice($this->signal->samples, $this->onset, $frame);
        $tones = [];
        for ($k = 1; $k <= self::OVERTONES && $k * $frequency < 0.45 * $rate; $k++) {
            $tones[] = [Spectrum::level($after, $k * $frequency, $rate) ** 2, Spectrum::level($before, $k * $frequency, $rate) ** 2];
        }
        $carrying = array_filter($tones, static fn (array $t): bool => $t[0] >= self::CARRIES * array_sum(array_column($tones, 0)));

        return min([
            1.0,
            ...array_map(
                static fn (array $t): float => self::ramp(10 * log10(max(1e-20, $t[0]) / max(1e-20, $t[1])), self::JUMP_DB),
                $carrying,
            ),
        ]);
    }

    private function frame(float $frequency): int
    {
        return (int) ceil(max(self::FRAME_S, self::PERIODS / $frequency) * $this->signal->rate);
    }

    /** @return list<array{float, float}> s, dB of each frame from the onset on, as long as it stands out */
    private function levels(float $frequency): array
    {
        $rate = $this->signal->rate;
        $frame = $this->frame($frequency);
        $hop = intdiv($frame, 2);
        $levels = [];
        $last = min(count($this->signal->samples) - $frame, $this->onset + (int) (self::LONGEST_S * $rate));
        for ($at = $this->onset; $at <= $last; $at += $hop) {
            $part = array_slice($this->signal->samples, $at, $frame);
            $on = $beside = 0.0;
            for ($k = 1; $k <= self::OVERTONES && ($k + 0.5) * $frequency < 0.45 * $rate; $k++) {
                $on += Spectrum::level($part, $k * $frequency, $rate) ** 2;
                $beside += Spectrum::level($part, ($k + 0.5) * $frequency, $rate) ** 2;
            }
            $db = 10 * log10(max(1e-20, $on - $beside));
            if ($on < 2 * $beside || ($levels !== [] && $db > $levels[count($levels) - 1][1] + self::AGAIN_DB)) {
                break;
            }
            $levels[] = [($at - $this->onset) / $rate, $db];
        }

        return $levels;
    }

    /** @param  list<array{float, float}>  $levels */
    private function dies(array $levels): float
    {
        $n = count($levels);
        if ($n < self::FEWEST_FRAMES) {
            return 0.0;
        }
        $t = array_sum(array_column($levels, 0)) / $n;
        $y = array_sum(array_column($levels, 1)) / $n;
        $slope = array_sum(array_map(
            static fn (array $l): float => ($l[0] - $t) * ($l[1] - $y),
            $levels,
        )) / array_sum(array_map(static fn (array $l): float => ($l[0] - $t) ** 2, $levels));
        $beside = sqrt(array_sum(array_map(static fn (array $l): float => ($l[1] - $y - $slope * ($l[0] - $t)) ** 2, $levels)) / $n);
        if ($slope >= -20 * M_LOG10E / self::SLOWEST_S) {
            return 0.0;
        }

        return self::ramp(-$slope * ($levels[$n - 1][0] - $levels[0][0]), self::FALL_DB) * (1 - self::ramp($beside, self::BESIDE_DB));
    }

    private function power(int $from, int $count): float
    {
        $part = array_slice($this->signal->samples, $from, $count);

        return array_sum(array_map(static fn (float $v): float => $v * $v, $part)) / max(1, count($part));
    }

    /** @param  array{float, float}  $between */
    private static function ramp(float $value, array $between): float
    {
        return max(0.0, min(1.0, ($value - $between[0]) / ($between[1] - $between[0])));
    }
}
