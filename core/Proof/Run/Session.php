<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use Throwable;

/**
 * One link to one printer: everything its run sends and hears goes through here. It knows what is hot, cuts off what is dangerous,
 * and once the run has ended in whatever way it stays until every heater that was on is seen to cool. Off comes first: a printer
 * that was left hot is switched off, and has cooled, before anything else is said to it.
 */
final class Session
{
    /** s; how long a question may stand while something is hot, and while nothing is */
    private const ANSWERED_HOT_S = 300.0;

    private const ANSWERED_COLD_S = 86_400.0;

    /** s without a temperature while something is hot: it is asked for; then it is too long */
    private const DEMAND_S = 3.0;

    private const BLIND_S = 20.0;

    public readonly Run $run;

    private readonly LineReader $reader;

    private readonly Asked $asked;

    private readonly Cut $cut;

    private readonly Heaters $heaters;

    private bool $linked = false;

    private string $out = '';

    private float $demandedAt = -INF;

    /** Temperatures asked for beside the run, whose “ok” is not the run’s. */
    private int $demanded = 0;

    private float $hotSince = 0.0;

    private ?Sample $last = null;

    /**
     * @param  bool  $leftHot  a session before this one, of a process that is gone, left this printer hot
     * @param  float  $patience  how many times longer than usual the printer may take, as of the run
     * @param  Danger|null  $plug  why only the plug ends it, as that session had seen
     */
    public function __construct(
        Run $run,
        ?Limits $limits = null,
        private bool $leftHot = false,
        private readonly float $patience = 1.0,
        ?Danger $plug = null,
    ) {
        $this->run = $run;
        $this->reader = new LineReader;
        $this->asked = new Asked;
        $this->cut = new Cut($limits ?? $run->plan->limits, $this->asked);
        $this->heaters = new Heaters($leftHot, $plug, $patience);
        if ($leftHot) {
            $this->heaters->tell(0.0);
        }
    }

    /** The link stands. */
    public function connected(float $t): void
    {
        $this->linked = true;
        if ($this->heaters->toldOff()) {
            $this->heaters->tell($t, $this->run->deaf);
        }
        $this->tick($t);
    }

    /** The link is gone, or was never there. */
    public function lost(float $t, string $why): void
    {
        $this->linked = false;
        $this->out = '';
        if (! $this->leftHot) {
            $this->run->lost($t, $why);
        }
        $this->settle($t);
    }

    /** What came over the wire at this moment, s. */
    public function bytes(float $t, string $bytes): void
    {
        foreach ($this->reader->take($bytes) as $line) {
            $sample = Sample::read($line, $t);
            if ($sample !== null) {
                $this->read($t, $sample);
            } elseif ($line === 'start' || TurnOff::halted($line)) {
                $this->asked->forget($t);
            }
            if ($this->heaters->toldOff()) {
                $this->heaters->hear($line, $t);
            } elseif ($this->demanded > 0 && preg_match('/^ok T:/', $line) === 1) {
                $this->demanded--;
                $this->run->hear($t, substr($line, 3), $sample);
            } else {
                $this->run->hear($t, $line, $sample);
            }
        }
    }

    /** Time goes on to this moment, s, whether anything came or not. */
    public function tick(float $t): void
    {
        if ($this->leftHot && ! $this->heaters->hot() && $this->confirmedOff() && $this->run->state === 'waiting') {
            // what was left hot is seen to cool: now the run goes on from the stage that was cut off
            $this->heaters->handOver();
            $this->leftHot = false;
            $this->run->connected($t);
        } elseif (! $this->heaters->toldOff() && $this->linked && $this->run->state === 'waiting') {
            $this->run->connected($t);
        }
        if (! $this->heaters->toldOff()) {
            $this->watch($t);
            $this->run->tick($t);
        }
        $this->settle($t);
        $this->collect($t);
    }

    /** The person beside it answers. */
    public function answer(float $t, string $answer): bool
    {
        $taken = $this->run->answer($t, $answer);
        $this->collect($t);

        return $taken;
    }

    /** Ends the run, and everything hot goes off. */
    public function stop(float $t, string $why = 'Stopped by hand.'): void
    {
        $this->leftHot = false;
        $this->run->stop($t, $why);
        $this->settle($t);
        $this->collect($t);
    }

    /** Something broke on our side: heaters off, and the run says so. */
    public function broke(float $t, Throwable $e): void
    {
        $this->run->lost($t, 'The runner met a fault of its own ('.substr($e->getMessage(), 0, 120).'); what was measured is kept.');
        $this->settle($t);
        $this->collect($t);
    }

    /** What goes to the printer now. */
    public function take(): string
    {
        $out = $this->out;
        $this->out = '';

        return $out;
    }

    /** Whether a heater of this printer may be on, as far as anybody here has seen. */
    public function hot(): bool
    {
        return $this->heaters->hot();
    }

    /** Whether it has to be connected: something runs, or something is not yet known to be off and to stay so. */
    public function wantsLink(float $t): bool
    {
        return $this->run->runs() || $this->heaters->watched($t, $this->linked);
    }

    /** The printer has reported that nothing is asked of its heaters any more; that they cool is still to be seen. */
    public function confirmedOff(): bool
    {
        return $this->heaters->confirmedAt() !== null;
    }

    /** Why only the plug ends it; for whoever comes after this session. */
    public function plug(): ?Danger
    {
        return $this->heaters->plug();
    }

    /** What somebody has to be told at once; nothing while all is as it should be. */
    public function alarm(float $t): ?string
    {
        return $this->heaters->alarm($t, $this->linked);
    }

    /** Somebody has pulled its plug. */
    public function unplugged(float $t): void
    {
        $this->stop($t, 'Its plug was pulled.');
        $this->heaters->unplugged();
        $this->linked = false;
    }

    /** The last temperatures, as the printer said them; how old they are is for who asks to work out. */
    public function last(): ?Sample
    {
        return $this->last;
    }

    private function read(float $t, Sample $sample): void
    {
        $this->last = $sample;
        if ($this->heaters->toldOff()) {
            $this->run->log->add($sample);
            $this->heaters->read($sample);
            $plug = $this->heaters->plug();
            if ($plug !== null && $plug->finding !== null && ! $this->run->runs()) {
                $this->run->doesNotCool($plug->because, $plug->finding);
            }
        }
        $danger = $this->cut->read($sample);
        if ($danger === null) {
            return;
        }
        if ($this->run->runs() && ! $this->heaters->toldOff()) {
            $this->heaters->danger($sample, $danger);
            $this->run->cut($t, $danger);
            $this->settle($t);
        } elseif ($danger->stuck !== null && $this->confirmedOff()) {
            // off, as it says itself, and hotter all the same
            $this->heaters->danger($sample, $danger);
        }
    }

    /** Heat that nobody can see, and questions that nobody answers, end a run. */
    private function watch(float $t): void
    {
        if (! $this->run->runs()) {
            return;
        }
        if ($t - $this->demandedAt > $this->patience * self::BLIND_S) {
            // an answer that was lost is not waited for: the next one is the run’s own
            $this->demanded = 0;
        }
        $hot = $this->asked->heats();
        $age = $this->last === null ? INF : $t - $this->last->t;
        if ($hot && $age > $this->patience * self::BLIND_S && $t - $this->hotSince > $this->patience * self::BLIND_S) {
            $this->run->cut(
                $t,
                new Danger(sprintf('It heats, and has reported no temperature for %.0f s.', $this->patience * self::BLIND_S), null),
            );
        } elseif ($hot && $age > $this->patience * self::DEMAND_S && $t - $this->demandedAt > $this->patience * self::DEMAND_S && $this->run->want?->kind !== 'answer') {
            $this->demandedAt = $t;
            $this->demanded++;
            $this->out .= "M105\n";
        }
        $asks = $this->run->asksFor($t);
        if ($asks > ($hot ? self::ANSWERED_HOT_S : self::ANSWERED_COLD_S)) {
            $this->run->stop($t, $hot ? 'Nobody answered for five minutes while it was hot.' : 'Nobody answered for a day.');
        }
    }

    /** A run that has ended leaves nothing hot. */
    private function settle(float $t): void
    {
        if (! $this->run->runs() && ! $this->heaters->toldOff() && ($this->linked || $this->heaters->hot())) {
            $this->heaters->tell($t, $this->run->deaf);
            $this->out = '';
        }
    }

    private function collect(float $t): void
    {
        if (! $this->linked) {
            return;
        }
        $out = $this->heaters->toldOff() ? $this->heaters->tick($t) : $this->run->take();
        $this->asked->sent($out, $t);
        if ($this->asked->heats() && ! $this->heaters->hot()) {
            $this->hotSince = $t;
        }
        $this->heaters->on($this->asked);
        $this->out .= $out;
    }
}
