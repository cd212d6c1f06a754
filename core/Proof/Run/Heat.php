<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use Generator;

/** What every stage that heats leans on: what the log says now, waiting for warmth and for cold, and jumps that no heater makes. */
final readonly class Heat
{
    /** So long it may stay warm from before. */
    private const COOLS_S = 3600.0;

    /** °C that what is warm loses in a minute, at the least; a sensor off its curve loses nothing. */
    private const COOLS_C = 0.4;

    private const JUMP_C = 5.0;

    private const LATE_S = 2.5;

    /** s a heater may take at all */
    public const HOTEND_RISE_S = 240.0;

    public const BED_RISE_S = 900.0;

    public function __construct(private Plan $plan, private Log $log)
    {
    }

    /** What a heater reports now, °C. */
    public function temperature(string $what): float
    {
        $now = $this->now();

        return $what === 'bed' ? $now->bed : $now->hotend;
    }

    /** The last report. */
    public function now(): Sample
    {
        return $this->sample('The printer reports no temperatures any more.');
    }

    /** The last report; fails the stage with these words when there is none. */
    public function sample(string $otherwise): Sample
    {
        return $this->log->last() ?? throw StageFailed::because($otherwise, null);
    }

    /**
     * Waits while what is still warm from before cools; ends when it is cold enough, or when it does not fall any more.
     *
     * @param  callable(Sample): bool  $cold
     * @return Generator<int, Want, mixed, void>
     */
    public function cools(callable $cold): Generator
    {
        $now = $this->now();
        for ($from = $this->log->now; ! $cold($now) && $this->log->now - $from < self::COOLS_S;) {
            $before = $now;
            for ($until = $this->log->now + 60.0; ! $cold($now) && $this->log->now < $until; $now = $this->now()) {
                yield Want::time(5.0, 'Warm from before: it waits until that has cooled.');
            }
            if (max($before->hotend - $now->hotend, $before->bed - $now->bed) < self::COOLS_C) {
                return;
            }
        }
    }

    /** @return Generator<int, Want, mixed, void> */
    public function heatBoth(): Generator
    {
        $began = $this->log->now;
        yield Want::ok("M104 S{$this->plan->hotendC}");
        yield Want::ok("M140 S{$this->plan->bedC}");
        while (abs($this->temperature('hotend') - $this->plan->hotendC) > 2 || abs($this->temperature('bed') - $this->plan->bedC) > 2) {
            if ($this->log->now - $began > self::BED_RISE_S) {
                throw StageFailed::because('With both heaters on it does not reach its temperatures.', 'supply-sags');
            }
            yield Want::time(1.0);
        }
    }

    /** Fails the stage when a temperature went up or down quicker than heat can, since this moment, s. */
    public function refuseJumps(float $from): void
    {
        $before = null;
        foreach ($this->log->since($from) as $sample) {
            foreach (['hotend' => 'reads-jumpy', 'bed' => 'bed-drops-moving'] as $what => $finding) {
                // reports that came late, and what cools when the print is done, are no jumps
                $told = $before !== null
                    && $sample->t - $before->t < self::LATE_S
                    && ($what === 'bed' ? $sample->bedTarget : $sample->hotendTarget) > 0;
                $jump = ! $told ? 0.0 : abs(($what === 'bed' ? $sample->bed - $before->bed : $sample->hotend - $before->hotend));
                if ($jump > self::JUMP_C) {
                    throw StageFailed::because(
                        sprintf(
                            'The %s jumped by %.0f °C within a second while it moved; %.0f are allowed.',
                            $what === 'bed' ? 'bed' : 'hot end',
                            $jump,
                            self::JUMP_C,
                        ),
                        $finding,
                    );
                }
            }
            $before = $sample;
        }
    }
}
