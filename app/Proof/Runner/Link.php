<?php

declare(strict_types=1);

namespace App\Proof\Runner;

use App\Proof\Run\HeatState;
use OddBench\Proof\Run\Danger;
use OddBench\Proof\Run\Plan;
use OddBench\Proof\Run\Run;
use OddBench\Proof\Run\Session;
use Throwable;

/**
 * One session between its files and its socket. It knows no database: what it has to know stands in its order, what it knows it
 * writes down. Before the first byte that heats goes out, the disk holds that this printer is hot.
 */
final class Link
{
    private const KEEP_S = 1.0;

    /** s; who was away for longer does not go on by itself: nobody may be beside the printer any more */
    private const GOES_ON_WITHIN_S = 900.0;

    /** s without the database: nobody could stop a run from the page, so nothing stays hot */
    private const NOBODY_CAN_STOP_S = 15.0;

    private Session $session;

    private readonly Wire $wire;

    private float $zero;

    private float $keptAt = -INF;

    private string $kept = '';

    private bool $hotKept;

    /** Whether what stands on the disk now says that this printer may be hot. */
    private bool $hotOnDisk;

    private readonly Samples $samples;

    private ?float $alarmSince = null;

    private bool $broken = false;

    /** @var array{state: string, said: string}|null how the run ended before this process began */
    private ?array $ended = null;

    /** @var array<string, array<string, mixed>> shown before this process began */
    private array $earlier;

    /**
     * @param  array<string, mixed>  $order  run, job, tag, host, port, plan
     * @param  array<string, mixed>|null  $said  what a process before this one wrote down
     */
    public function __construct(
        public readonly int $run,
        private readonly array $order,
        ?array $said,
        private readonly RunFiles $files,
        private readonly float $speed = 1.0,
    ) {
        $earlier = is_array($said['results'] ?? null) ? $said['results'] : (is_array($order['results'] ?? null) ? $order['results'] : []);
        $this->earlier = array_filter($earlier, is_array(...));
        $plan = Plan::of(is_array($order['plan'] ?? null) ? $order['plan'] : []);
        $done = array_keys(array_filter($this->earlier, static fn (array $r): bool => ($r['passed'] ?? false) === true));
        $patience = max(1.0, $speed / 4);
        $this->hotKept = $this->hotOnDisk = HeatState::mayBeOn($said['heat'] ?? null);
        $run = new Run(Plan::of(['stages' => array_values(array_diff($plan->stages, $done))] + $plan->toArray()), $patience);
        $this->session = new Session(
            $run,
            $plan->limits,
            $this->hotKept,
            $patience,
            self::plug($said ?? []),
        );
        // time runs on from what was measured before
        $from = is_numeric($said['t'] ?? null) ? 60 * (1 + floor((float) $said['t'] / 60)) : 0.0;
        $this->zero = Clock::s() - $from / $speed;
        $this->samples = new Samples($files->path($this->run, 'samples'), $from - 1e-9);
        $this->wire = new Wire("{$order['host']}:{$order['port']}");
        if (($said['ended'] ?? false) === true) {
            // over, but not known to be off
            $this->ended = ['state' => (string) $said['state'], 'said' => (string) ($said['said'] ?? '')];
            $run->stop($from, '');
        } elseif (is_numeric($said['at'] ?? null)) {
            $away = microtime(true) - (float) $said['at'];
            if ($away > self::GOES_ON_WITHIN_S || $away < -60.0) {
                $run->stop($from, 'The runner was away for too long to go on by itself. Stand beside the printer and run it again.');
            }
        }
    }

    public function address(): string
    {
        return $this->wire->address;
    }

    /** Its run has ended and its heaters are off; it is only looked at a little longer. */
    public function lingers(): bool
    {
        return ! $this->session->run->runs() && ! $this->session->hot();
    }

    /** @return resource|null what it listens to */
    public function socket()
    {
        return $this->wire->socket();
    }

    /** One round; false when the run has ended, its heaters are known to be off and everything is written down. */
    public function turn(): bool
    {
        $now = $this->now();
        try {
            $this->obey($now);
            $this->talk($now);
        } catch (Throwable $e) {
            $this->breakOff($now, $e);
        }
        $this->send();
        $this->keep($now);
        if ($this->session->wantsLink($now)) {
            return true;
        }
        $this->wire->close();

        return ! $this->keep($now, true);
    }

    /**
     * The process is asked to go: heaters off and confirmed, as far as that can be had in some seconds. Whether they cool is seen by who
     * comes after it, and every screen says until then that they may be on; the run stays open.
     */
    public function leave(float $within): void
    {
        $heated = $this->session->hot();
        $this->session->stop($this->now(), 'The runner is stopped.');
        for ($until = Clock::s() + $within; $heated && ! $this->session->confirmedOff() && Clock::s() < $until; usleep(10_000)) {
            try {
                $this->talk($this->now());
            } catch (Throwable) {
                break;
            }
            $this->send();
        }
        $said = $this->files->read($this->run, 'said');
        if ($heated && $said !== null) {
            $this->files->write($this->run, 'said', ['heat' => $this->session->hot() ? 'unconfirmed' : 'off'] + $said);
        }
        $this->wire->close();
    }

    /** @return array<string, mixed> what every screen is told of this printer */
    public function heat(): array
    {
        $now = $this->now();
        $last = $this->session->last();
        $words = $this->session->alarm($now);
        $this->alarmSince = $words === null ? null : ($this->alarmSince ?? microtime(true));

        return [
            'run' => $this->run, 'job' => $this->order['job'] ?? null, 'tag' => $this->order['tag'] ?? '', 'printer' => $this->address(),
            'hot' => $this->session->hot(),
            'alarm' => $words,
            'since' => $this->alarmSince === null ? null : gmdate('c', (int) $this->alarmSince),
            'hotendC' => $last === null ? null : round($last->hotend, 1), 'bedC' => $last === null ? null : round($last->bed, 1),
            'ageS' => $last === null ? null : round(($now - $last->t) / $this->speed, 1),
        ];
    }

    /** What the page wants of it. */
    private function obey(float $now): void
    {
        foreach (['stop', 'answer', 'unplugged'] as $kind) {
            $asked = is_file($this->files->path($this->run, $kind)) ? $this->files->read($this->run, $kind) : null;
            if ($asked === null) {
                continue;
            }
            match ($kind) {
                'stop' => $this->session->stop($now, is_string($asked['why'] ?? null) ? $asked['why'] : 'Stopped by hand.'),
                'answer' => $this->session->answer($now, is_string($asked['answer'] ?? null) ? $asked['answer'] : ''),
                'unplugged' => $this->session->unplugged($now),
            };
            $this->send();
            $this->files->forget($this->run, $kind);
        }
        if ($this->session->run->runs() && $this->session->hot() && $this->files->beatAge() > self::NOBODY_CAN_STOP_S) {
            $this->session->stop($now, 'The database is away, so nobody could have stopped it.');
        }
    }

    /** Tried again with growing pauses as long as something may be hot. */
    private function talk(float $now): void
    {
        [$what, $said] = $this->wire->look();
        match ($what) {
            'connected' => $this->session->connected($now),
            'gone' => $this->session->lost($now, $said),
            'bytes' => $this->session->bytes($now, $said),
            'nothing' => null,
        };
        if ($this->wire->socket() !== null) {
            $this->session->tick($now);
        }
    }

    /** What heats goes out only after the disk holds that this printer is hot; what switches off goes out whatever happens. */
    private function send(): void
    {
        $bytes = $this->session->take();
        if ($bytes !== '' && ! $this->hotOnDisk && $this->session->hot() && $this->session->run->runs()) {
            try {
                $this->write($this->now());
                $this->hotKept = true;
            } catch (Throwable) {
                $this->session->stop($this->now(), 'The disk takes nothing more, so nothing is heated.');
                $bytes = $this->session->take();
            }
        }
        $this->wire->send($bytes);
    }

    /** A fault of our own: off first, and then it is said. */
    private function breakOff(float $now, Throwable $e): void
    {
        try {
            if (! $this->broken) {
                $this->broken = true;
                $this->session->broke($now, $e);
            } else {
                $this->session->tick($now);
            }
        } catch (Throwable) {
            // whatever is wrong with the session: the printer is told by the shortest way
            $this->wire->sendInstead("M29\nM108\nM25\nM104 S0\nM140 S0\n");
        }
        $this->send();
        Quietly::log($e);
    }

    /** @return bool whether it stands on the disk */
    private function keep(float $now, bool $sure = false): bool
    {
        if (! $sure && Clock::s() - $this->keptAt < self::KEEP_S && $this->standing() === $this->kept) {
            return true;
        }
        try {
            $this->samples->append($this->session->run->log);
            $this->write($now);
        } catch (Throwable) {
            // the disk is full: what is in memory is written when it is not
            $this->keptAt = Clock::s();

            return ! $sure;
        }

        return true;
    }

    /** What is written at once when it changes. */
    private function standing(): string
    {
        $run = $this->session->run;

        return "{$run->state} {$run->stage} {$run->want?->text} ".count($run->results)
            ." {$this->heatWord()} {$this->session->plug()?->because}";
    }

    /** @param  array<string, mixed>  $said  as a process before this one wrote it */
    private static function plug(array $said): ?Danger
    {
        $finding = $said['plug_finding'] ?? null;

        return is_string($said['plug'] ?? null) ? new Danger($said['plug'], is_string($finding) ? $finding : null) : null;
    }

    private function heatWord(): string
    {
        return match (true) {
            $this->session->confirmedOff() && ! $this->session->hot() => 'off',
            ! $this->session->hot() => $this->hotKept ? 'off' : 'cold',
            $this->session->alarm($this->now()) !== null => 'unconfirmed',
            $this->session->confirmedOff() => 'cooling',
            default => $this->session->run->runs() ? 'hot' : 'unconfirmed',
        };
    }

    private function write(float $now): void
    {
        $run = $this->session->run;
        $asking = $run->state === 'asking' ? $run->want : null;
        $last = $this->session->last();
        $heat = $this->heatWord();
        $this->files->write($this->run, 'said', [
            'run' => $this->run,
            't' => $now,
            'state' => $this->ended['state'] ?? $run->state,
            'stage' => $run->stage,
            'question' => $asking?->text,
            'choices' => $asking?->choices,
            'results' => (object) array_merge($this->earlier, $run->results),
            'said' => mb_substr($this->ended['said'] ?? $run->said, 0, 500),
            'heat' => $heat,
            'plug' => $this->session->plug()?->because,
            'plug_finding' => $this->session->plug()?->finding,
            'ended' => $this->ended !== null || ! $run->runs(),
            'hotend_c' => $last?->hotend,
            'bed_c' => $last?->bed,
            'age_s' => $last === null ? null : ($now - $last->t) / $this->speed,
            'at' => microtime(true),
        ]);
        $this->hotOnDisk = HeatState::mayBeOn($heat);
        $this->kept = $this->standing();
        $this->keptAt = Clock::s();
    }

    private function now(): float
    {
        return (Clock::s() - $this->zero) * $this->speed;
    }
}
