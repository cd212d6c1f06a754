<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/**
 * One temperature that was asked for, from the first sample with its target until the target changes: how it was reached,
 * how it held, and what that is worth. Limits are common practice: what holds within ±2 °C for a minute and more is well.
 */
final class HeatStep
{
    /** Reached and settled within this, °C. */
    private const BAND_C = 1.0;

    /** A heater that holds stays within this, °C. */
    public const SWING_C = 2.0;

    /** So long it is watched at its target before anything is said of how it holds, s. */
    public const HOLD_S = 60.0;

    private const HOLD_SAMPLES = 6;

    private const OVERSHOOT_OK = 5.0;

    private const OVERSHOOT_OUT = 10.0;

    private const BACK_OK_S = 30.0;

    private const BACK_OUT_S = 90.0;

    /** Worst last; what cannot be told is worse than what is only to be watched. */
    private const ORDER = ['ok', 'watch', 'inconclusive', 'out'];

    public readonly float $target;

    private readonly ?int $reached;

    /** First sample from which on it stays within ±1 °C. */
    private readonly ?int $settled;

    /** The same within ±2 °C. */
    private readonly ?int $held;

    private readonly float $way;

    /** It was watched long enough and never held: that it is in its band as the log ends is chance. */
    private bool $neverHeld = false;

    /** @var array{verdict: string, because: string} */
    public readonly array $judged;

    /** @param  non-empty-list<HeatSample>  $samples */
    public function __construct(private readonly array $samples)
    {
        $this->target = $samples[0]->target;
        $this->way = $samples[0]->actual <= $this->target ? 1.0 : -1.0;
        $this->reached = $this->reaches();
        $this->settled = $this->reached === null ? null : $this->staysFrom(self::BAND_C);
        $this->held = $this->reached === null ? null : $this->staysFrom(self::SWING_C);
        $this->judged = $this->judge();
    }

    /** It was left for a target further on before it was reached: passed through, not asked to hold. */
    public function passedOnTo(self $next): bool
    {
        return $this->reached === null && ($next->target - $this->target) * $this->way > 0;
    }

    /** Whether its verdict is the worse of the two. */
    public function worseThan(self $other): bool
    {
        return array_search($this->judged['verdict'], self::ORDER, true) > array_search($other->judged['verdict'], self::ORDER, true);
    }

    /** Seconds of the log at which it begins. */
    public function began(): float
    {
        return $this->samples[0]->at;
    }

    /**
     * @return array{target_c: float|null, rise_s: float|null, overshoot_c: float|null, settle_s: float|null, steady_mean_c: float|null, steady_sd_c: float|null, peak_to_peak_c: float|null}
     */
    public function figures(): array
    {
        $from = $this->neverHeld ? null : $this->settled ?? $this->held;
        $steady = array_map(static fn (HeatSample $s): float => $s->actual, $from === null ? [] : array_slice($this->samples, $from));

        return [
            'target_c' => $this->target,
            'rise_s' => $this->since($this->reached),
            'overshoot_c' => $this->reached === null ? null : $this->overshoot(),
            'settle_s' => $this->neverHeld ? null : $this->since($this->settled),
            'steady_mean_c' => $steady === [] ? null : array_sum($steady) / count($steady),
            'steady_sd_c' => self::deviation($steady),
            'peak_to_peak_c' => $steady === [] ? null : max($steady) - min($steady),
        ];
    }

    private function since(?int $index): ?float
    {
        return $index === null ? null : $this->samples[$index]->at - $this->samples[0]->at;
    }

    private function reaches(): ?int
    {
        foreach ($this->samples as $i => $sample) {
            if (abs($sample->actual - $this->target) <= self::BAND_C || ($sample->actual - $this->target) * $this->way > 0) {
                return $i;
            }
        }

        return null;
    }

    private function staysFrom(float $within): ?int
    {
        $from = null;
        foreach ($this->samples as $i => $sample) {
            $from = abs($sample->actual - $this->target) <= $within ? $from ?? $i : null;
        }

        return $from;
    }

    private function overshoot(): float
    {
        $beyond = array_map(
            fn (HeatSample $s): float => ($s->actual - $this->target) * $this->way,
            array_slice($this->samples, (int) $this->reached),
        );

        return max([0.0, ...$beyond]);
    }

    /** @param  list<float>  $values */
    private static function deviation(array $values): ?float
    {
        if (count($values) < 2) {
            return null;
        }
        $mean = array_sum($values) / count($values);

        return sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)) / (count($values) - 1));
    }

    /** @return array{verdict: string, because: string} */
    private function judge(): array
    {
        $ends = $this->samples[count($this->samples) - 1]->at;
        if ($this->frozen()) {
            return self::verdict(
                'inconclusive',
                sprintf(
                    'The reading does not move by a digit for %s s: a sensor, or a log, that hangs looks like this. Warm the sensor by hand with the power off and see it follow, then log again with a decimal.',
                    Said::figure(self::HOLD_S),
                ),
            );
        }
        if ($this->reached === null) {
            return $this->climbs() ? self::verdict(
                'inconclusive',
                sprintf(
                    'The log of %s °C ends while it is still on its way. Log on until it has held for a minute.',
                    Said::figure($this->target),
                ),
            )
                : self::verdict('out', sprintf('It never came within 1 °C of %s °C.', Said::figure($this->target)));
        }
        $watched = $ends - $this->samples[$this->reached]->at;
        $held = $this->held === null ? [] : array_slice($this->samples, $this->held);
        if ($held === [] || $ends - $held[0]->at < self::HOLD_S) {
            $this->neverHeld = $watched >= self::HOLD_S + self::BACK_OUT_S;

            return ! $this->neverHeld && $this->overshoot() <= self::OVERSHOOT_OUT
                ? self::verdict(
                    'inconclusive',
                    sprintf(
                        'It reached %s °C, but the log shows no %s s of holding within 2 °C: log on for two minutes more.',
                        Said::figure($this->target),
                        Said::figure(self::HOLD_S),
                    ),
                )
                : self::verdict('out', $this->swings());
        }

        if (count($held) < self::HOLD_SAMPLES) {
            return self::verdict(
                'inconclusive',
                sprintf(
                    '%d samples in %s s are too few to see it swing: log one every ten seconds or more often.',
                    count($held),
                    Said::figure($ends - $held[0]->at),
                ),
            );
        }

        return $this->judgeHeld((float) $this->since($this->reached), (float) $this->since($this->held), $ends - $held[0]->at);
    }

    /** @return array{verdict: string, because: string} */
    private function judgeHeld(float $rise, float $held, float $for): array
    {
        $over = $this->overshoot();
        $strayed = $this->strays((int) $this->reached);
        $back = $held - $rise;
        $verdict = match (true) {
            $strayed > self::OVERSHOOT_OUT || $back > self::BACK_OUT_S => 'out',
            $strayed > self::OVERSHOOT_OK || $back > self::BACK_OK_S => 'watch',
            default => 'ok',
        };

        return self::verdict(
            $verdict,
            sprintf(
                '%s °C in %s s, %s °C beyond, then within %s °C for %s s. A few °C beyond that are back within half a minute are well, and ±2 °C while it holds.',
                Said::figure($this->target),
                Said::figure($rise),
                Said::figure($over),
                Said::figure($this->strays((int) $this->held)),
                Said::figure($for),
            ),
        );
    }

    /** The furthest it is from its target from a sample on, °C. */
    private function strays(int $from): float
    {
        return max([0.0, ...array_map(fn (HeatSample $s): float => abs($s->actual - $this->target), array_slice($this->samples, $from))]);
    }

    private function swings(): string
    {
        $values = array_map(static fn (HeatSample $s): float => $s->actual, array_slice($this->samples, (int) $this->reached));

        return sprintf(
            'It reached %s °C in %s s but never held within 2 °C for a minute: it goes from %s to %s °C.',
            Said::figure($this->target),
            Said::figure((float) $this->since($this->reached)),
            Said::figure(min([INF, ...$values])),
            Said::figure(max([-INF, ...$values])),
        );
    }

    /** Not one digit of movement over the last minute, or over all of it. */
    private function frozen(): bool
    {
        $last = $this->samples[count($this->samples) - 1];
        $still = $last->at;
        for ($i = count($this->samples) - 1; $i >= 0 && $this->samples[$i]->actual === $last->actual; $i--) {
            $still = $this->samples[$i]->at;
        }

        return $last->at - $still >= self::HOLD_S;
    }

    /**
     * Whether it would have come there: the temperatures at the beginning, the middle and the end continued as an exponential
     * (Aitken’s Δ² process) reach the target, or do not level off at all.
     */
    private function climbs(): bool
    {
        $first = $this->samples[0];
        $last = $this->samples[count($this->samples) - 1];
        $middle = $first;
        foreach ($this->samples as $sample) {
            $middle = $sample->at <= ($first->at + $last->at) / 2 ? $sample : $middle;
        }
        $early = ($middle->actual - $first->actual) * $this->way;
        $late = ($last->actual - $middle->actual) * $this->way;
        if ($late <= self::BAND_C) {
            // it stands still, but for noise
            return false;
        }

        return $late >= $early || ($last->actual - $this->target) * $this->way + $late ** 2 / ($early - $late) >= -self::BAND_C;
    }

    /** @return array{verdict: string, because: string} */
    private static function verdict(string $verdict, string $because): array
    {
        return ['verdict' => $verdict, 'because' => $because];
    }
}
