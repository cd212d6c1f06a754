<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/**
 * What is known of the heaters of one printer: which were on, whether they were told to be off and heard it, whether they are seen to
 * cool, and what somebody has to be told at once. Off is what is seen, not what is said; what does not cool needs its plug pulled, and
 * stays so until somebody says that it is.
 */
final class Heaters
{
    /** s a printer that is there may take to confirm before somebody is told to pull the plug */
    private const CONFIRMS_S = 3.0;

    /** s one that has begun to cool is followed at the most */
    private const FOLLOWED_S = 1800.0;

    /** s one that never heated is looked at once it is told to be off */
    private const LINGERS_S = 10.0;

    /** s without a temperature while it should be seen to cool */
    private const BLIND_S = 20.0;

    private const TARGET_C = 1.5;

    /** Readings with a target nobody asked for, after it was told to be off: one may be garbled, four are somebody or something. */
    private const RETURNS = 4;

    private const RETURNED = 'Something turns its heaters on again: pull the plug.';

    private const MAY_BE_ON = 'Heaters may be on: pull the plug.';

    private const TOO_HOT = 'It got too hot, and is not seen to cool yet: pull the plug.';

    private const UNASKED = 'It heats with nothing asked: pull the plug.';

    private ?TurnOff $off = null;

    private ?Cooling $cooling = null;

    private float $offSince = 0.0;

    private ?float $confirmedAt = null;

    private float $readAt = -INF;

    /** @var array<'hotend'|'bed', true> those that were on since all were last seen to be off */
    private array $warm = [];

    /** One got too hot: said at once, until it is seen to cool. */
    private bool $tooHot = false;

    /** Readings in a row with a target nobody asked for, after it was off. */
    private int $targets = 0;

    /** All of those. */
    private int $returns = 0;

    /**
     * @param  bool  $hot  a session before this one, of a process that is gone, left them on
     * @param  Danger|null  $plug  why only the plug ends it, as that session had seen
     * @param  float  $patience  as of the run
     */
    public function __construct(private bool $hot, private ?Danger $plug, private readonly float $patience)
    {
        $this->hot = $hot || $plug !== null;
    }

    /** Whether one may be on, as far as anybody here has seen. */
    public function hot(): bool
    {
        return $this->hot;
    }

    /** Whether they have been told to be off, and are watched. */
    public function toldOff(): bool
    {
        return $this->off !== null;
    }

    /** When the printer confirmed that nothing is asked of them any more; nothing as long as it has not. */
    public function confirmedAt(): ?float
    {
        return $this->confirmedAt;
    }

    /** Whether somebody has to go on looking; once they are not hot, only as long as the printer is there by itself. */
    public function watched(float $t, bool $linked): bool
    {
        $for = $t - ($this->confirmedAt ?? $this->offSince);

        return $this->hot || ($this->off !== null && $linked && $for < ($this->cooling === null ? self::LINGERS_S : self::FOLLOWED_S));
    }

    /** Why only the plug ends it; no finding where a sensor, or somebody at its own screen, may be all that is wrong. */
    public function plug(): ?Danger
    {
        return $this->plug;
    }

    /** These were told to heat. */
    public function on(Asked $asked): void
    {
        foreach (['hotend', 'bed'] as $heater) {
            if ($asked->target($heater) > 0) {
                $this->warm[$heater] = true;
                $this->hot = true;
            }
        }
    }

    /**
     * Told to be off, from the beginning; what was seen of them stays.
     *
     * @param  bool  $deaf  the printer is busy with something that keeps it from hearing anything but an emergency stop
     */
    public function tell(float $t, bool $deaf = false): void
    {
        $this->off = new TurnOff($deaf, $this->patience);
        $this->confirmedAt = null;
        $this->offSince = $t;
    }

    /** A run may heat them again. */
    public function handOver(): void
    {
        $this->off = $this->cooling = $this->confirmedAt = null;
    }

    /** @return string what goes to the printer now */
    public function tick(float $t): string
    {
        return $this->off?->tick($t) ?? '';
    }

    /** Any line that is no temperature; a halted printer reports nothing until it is started anew. */
    public function hear(string $line, float $t): void
    {
        if ($this->off?->confirmed === true && TurnOff::halted($line)) {
            $this->tell($t);
        }
        $this->off?->hear($line, $t);
    }

    /** A temperature after they were told to be off: that the printer has heard it, that it stays so, and that they cool. */
    public function read(Sample $sample): void
    {
        $this->readAt = $sample->t;
        $this->off?->read($sample);
        if ($this->off?->confirmed !== true) {
            return;
        }
        $asks = $this->confirmedAt !== null && self::asks($sample);
        $this->targets = $asks ? $this->targets + 1 : 0;
        $this->returns += $asks ? 1 : 0;
        $this->confirmedAt ??= $sample->t;
        if ($this->returns >= self::RETURNS) {
            $this->mark($sample, null);
            $this->plug ??= new Danger(self::RETURNED, null);
        }
        if ($this->targets >= 2) {
            $this->mark($sample, null);
            $this->cooling = null;
            $this->tell($sample->t);
        } elseif (($this->hot || $this->cooling !== null) && ! self::asks($sample)) {
            $this->cool($sample);
        }
    }

    /** Something dangerous was seen, while they were told to heat or to be off. */
    public function danger(Sample $sample, Danger $danger): void
    {
        $this->mark($sample, $danger);
        $this->tooHot = $this->tooHot || $danger->stuck !== null;
        $this->plug ??= $danger->unasked ? new Danger(self::UNASKED, $danger->finding) : null;
    }

    /** What somebody has to be told at once; nothing while all is as it should be. */
    public function alarm(float $t, bool $linked): ?string
    {
        if ($this->plug !== null || $this->off === null || ! $this->hot) {
            return $this->plug?->because;
        }
        if ($this->tooHot) {
            return self::TOO_HOT;
        }
        [$heard, $within] = $this->confirmedAt === null ? [$this->offSince, self::CONFIRMS_S] : [$this->readAt, self::BLIND_S];

        return $linked && $t - $heard < $this->patience * $within ? null : self::MAY_BE_ON;
    }

    /** Somebody has pulled the plug. */
    public function unplugged(): void
    {
        $this->plug = $this->cooling = null;
        $this->areOff();
    }

    private function areOff(): void
    {
        $this->hot = $this->tooHot = false;
        $this->warm = [];
    }

    private function cool(Sample $sample): void
    {
        $cooling = $this->cooling ??= new Cooling($this->toBeSeen($sample), $this->patience);
        $cooling->read($sample);
        $this->plug ??= $cooling->plug();
        if ($this->plug !== null) {
            $this->hot = true;
        } elseif ($cooling->seen()) {
            $this->areOff();
            $this->cooling = $cooling->harmless() ? null : $cooling;
        }
    }

    /** @return non-empty-list<'hotend'|'bed'> */
    private function toBeSeen(Sample $sample): array
    {
        if ($this->warm !== []) {
            return array_keys($this->warm);
        }

        // which of them was on nobody knows any more; a printer without a bed says nothing of one
        return $sample->bed === 0.0 && $sample->bedTarget === 0.0 ? ['hotend'] : ['hotend', 'bed'];
    }

    private function mark(Sample $sample, ?Danger $danger): void
    {
        $this->hot = true;
        foreach (['hotend' => $sample->hotendTarget, 'bed' => $sample->bedTarget] as $heater => $target) {
            if ($target > self::TARGET_C || $danger?->stuck === $heater) {
                $this->warm[$heater] = true;
            }
        }
    }

    private static function asks(Sample $sample): bool
    {
        return max($sample->hotendTarget, $sample->bedTarget) > self::TARGET_C;
    }
}
