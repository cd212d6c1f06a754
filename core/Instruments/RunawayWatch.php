<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** A cooled heater watched sample by sample: when it stopped by itself, that it still heats, or why neither can be said. */
final class RunawayWatch
{
    /** So long power stays off at the least before it counts as stopped, s; and so many samples and intervals of them. */
    private const OFF_S = 5.0;

    private const OFF_INTERVALS = 2.0;

    private const OFF_SAMPLES = 3;

    /** A heater that is off does not grow warmer than this, °C: else the regulator waits for warmth that is on its way. */
    private const COASTS_C = 1.0;

    /** Stops that something else makes. */
    private const OTHER_CAUSE = '/min ?temp|max ?temp|emergency|m112|homing|out of reach|watchdog|filament/i';

    private const OWN_CAUSE = '/runaway|heating failed/i';

    /** A bare “printer halted” is what an emergency stop by hand gives as well. */
    private const BY_ITSELF = '/runaway|heating failed|system stopped/i';

    private ?float $left = null;

    /** @var list<HeatSample> samples without power in a row, below the band */
    private array $off = [];

    private bool $knowsPower = false;

    private ?float $recoveredAfter = null;

    private bool $over = false;

    private string $heatsOn = '';

    /** s from leaving the band */
    public ?float $trippedAfter = null;

    /** It was heating still after twice the period. */
    public bool $stillHeats = false;

    /** °C below the target, at the most */
    public float $drop = 0.0;

    /** Why, where it did not trip. */
    public string $because = '';

    private function __construct(
        private readonly float $target,
        private readonly float $hysteresis,
        private readonly float $period,
        private readonly float $needsOff,
    ) {
    }

    /**
     * @param  list<HeatSample>  $samples  from where the cooling began
     * @param  float  $interval  s between two of them
     */
    public static function over(array $samples, float $target, float $hysteresis, float $period, float $interval): self
    {
        $watch = new self($target, $hysteresis, $period, max(self::OFF_S, self::OFF_INTERVALS * $interval));
        foreach ($samples as $i => $sample) {
            $watch->drop = max($watch->drop, $target - $sample->actual);
            if (! $watch->over) {
                $watch->see($sample, $i === 0);
            }
        }
        if (! $watch->over) {
            $watch->ends($samples === [] ? 0.0 : $samples[count($samples) - 1]->at);
        }
        $watch->because = $watch->stillHeats ? $watch->heatsOn : $watch->because;

        return $watch;
    }

    private function see(HeatSample $sample, bool $first): void
    {
        if ($sample->stopped) {
            $this->stopped($sample, $first);
        } elseif (abs($sample->target - $this->target) > 0.01) {
            $this->changed($sample);
        } elseif ($this->target - $sample->actual <= $this->hysteresis) {
            $this->recoveredAfter = $this->left === null ? $this->recoveredAfter : $sample->at - $this->left;
            $this->left = null;
            $this->off = [];
        } else {
            $this->below($sample);
        }
    }

    private function below(HeatSample $sample): void
    {
        $this->left ??= $sample->at;
        $this->knowsPower = $this->knowsPower || $sample->power !== null;
        if ($sample->power !== null && $sample->power <= 0) {
            $this->off[] = $sample;

            return;
        }
        $this->off = [];
        if ($sample->power !== null && $sample->at - $this->left >= 2 * $this->period) {
            $this->stillHeats = true;
            $this->heatsOn = sprintf(
                'It was still heating %s s after it left the band; it should have stopped within %s s. Red tag: it never leaves so.',
                Said::figure($sample->at - $this->left),
                Said::figure($this->period),
            );
        }
    }

    private function stopped(HeatSample $sample, bool $first): void
    {
        $this->over = true;
        if ($first) {
            $this->because = 'It had stopped before the cooling began: nothing was tested. Start it anew, heat it up and cool it then.';
        } elseif (preg_match(self::OTHER_CAUSE, $sample->said) === 1 && preg_match(self::OWN_CAUSE, $sample->said) !== 1) {
            $this->because = sprintf(
                'It stopped for another reason (%s), so its watch over the heater was not tested. Mend that first, then cool it again.',
                mb_strcut(mb_scrub($sample->said), 0, 80),
            );
        } elseif (preg_match(self::BY_ITSELF, $sample->said) !== 1 && ! $this->offForGood()) {
            $this->because = 'It says only that it was halted, not why: a hand may have stopped it. Look for the line before that one, or cool it again and touch nothing.';
        } elseif ($this->trippedAfter === null) {
            $at = $this->off === [] ? $sample->at : $this->off[0]->at;
            $this->trippedAfter = max(0.0, $at - ($this->left ?? $at));
        }
    }

    private function changed(HeatSample $sample): void
    {
        $this->over = true;
        if (! $this->offForGood()) {
            $this->because = sprintf(
                'The target was changed from %s to %s °C before heating had stopped by itself: a hand, or a stop that the log does not tell. Leave the target alone next time, and log the firmware’s lines with its messages.',
                Said::figure($this->target),
                Said::figure($sample->target),
            );
        }
    }

    private function ends(float $at): void
    {
        if ($this->offForGood()) {
            return;
        }
        $this->because = match (true) {
            $this->left !== null
                && ! $this->knowsPower => 'The log tells neither power nor a stop: it cannot be seen whether heating went on. Log power too, or the firmware’s lines with its messages.',
            $this->left !== null && $this->off !== [] => sprintf(
                'The log ends %s s after power went off; it has to stay off for %s s, or the firmware has to say that it stopped. Log on next time.',
                Said::figure($at - $this->off[0]->at),
                Said::figure($this->needsOff),
            ),
            $this->left !== null => sprintf(
                'The log ends %s s after it left the band; twice the period, %s s, must be watched.',
                Said::figure($at - $this->left),
                Said::figure(2 * $this->period),
            ),
            $this->recoveredAfter !== null => sprintf(
                'It came back into its band by itself after %s s, so the firmware had nothing to stop for. Cool it harder next time: sock off, more air, and keep on.',
                Said::figure($this->recoveredAfter),
            ),
            default => sprintf(
                'It fell by %s °C only, not beyond the %s °C it may. Take the sock off and cool it harder.',
                Said::figure($this->drop),
                Said::figure($this->hysteresis),
            ),
        };
    }

    /** Power went off below the band and stayed off until the end, and what is off does not grow warmer. */
    private function offForGood(): bool
    {
        $count = count($this->off);
        if ($this->left === null
            || $count < self::OFF_SAMPLES
            || $this->off[$count - 1]->at - $this->off[0]->at < $this->needsOff
            || $this->off[$count - 1]->actual > $this->off[0]->actual + self::COASTS_C) {
            return false;
        }
        $this->trippedAfter = $this->off[0]->at - $this->left;

        return true;
    }
}
