<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use OddBench\Instruments\HeatSample;

/** What was measured so far, and the time it is. */
final class Log
{
    /** As many as twelve hours at one each second. */
    private const MOST = 50_000;

    /** Of those that come closer together than this only the last is kept, s. */
    private const CLOSE_S = 0.1;

    public float $now = 0.0;

    /** What a feeder complained of, though the printer did not stop. */
    private ?string $alarm = null;

    /** @var list<Sample> */
    private array $samples = [];

    /** The firmware said that something is wrong. */
    public function alarm(string $said): void
    {
        $this->alarm = $said;
    }

    /** The complaint there was since this was asked last. */
    public function takeAlarm(): ?string
    {
        $said = $this->alarm;
        $this->alarm = null;

        return $said;
    }

    /** A report of temperatures. */
    public function add(Sample $sample): void
    {
        // of those that come in one breath the last one counts
        $last = $this->last();
        $before = $this->samples[count($this->samples) - 2] ?? null;
        if ($last !== null
            && ($last->t >= $sample->t || ($before !== null && $last->t - $before->t < self::CLOSE_S && $sample->t - $last->t < self::CLOSE_S))) {
            array_pop($this->samples);
        }
        $this->samples[] = $sample;
        if (count($this->samples) > self::MOST) {
            $this->samples = array_slice($this->samples, -intdiv(self::MOST, 2));
        }
    }

    /** The last report; nothing before the first. */
    public function last(): ?Sample
    {
        return $this->samples === [] ? null : $this->samples[count($this->samples) - 1];
    }

    /** @return list<Sample> from a moment on */
    public function since(float $t): array
    {
        $since = [];
        for ($i = count($this->samples) - 1; $i >= 0 && $this->samples[$i]->t >= $t; $i--) {
            $since[] = $this->samples[$i];
        }

        return array_reverse($since);
    }

    /**
     * As the instruments judge it.
     *
     * @param  'hotend'|'bed'  $channel
     * @return list<HeatSample> times from the first sample on, s
     */
    public function samples(string $channel, float $since): array
    {
        $samples = [];
        $first = $before = null;
        foreach ($this->since($since) as $sample) {
            $first ??= $sample->t;
            $at = round($sample->t - $first, 2);
            if ($before !== null && $at <= $before) {
                // two that came in one breath
                continue;
            }
            $before = $at;
            // a printer that does not tell its power is not one that gives none
            $samples[] = $channel === 'bed'
                ? new HeatSample($at, $sample->bed, $sample->bedTarget, $sample->bedPower, false)
                : new HeatSample($at, $sample->hotend, $sample->hotendTarget, $sample->hotendPower, false);
        }

        return $samples;
    }
}
