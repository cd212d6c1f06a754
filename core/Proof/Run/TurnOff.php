<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/**
 * Switches both heaters off and does not rest until the printer itself reports that nothing is asked of them any more: says it
 * again and again, and harder when it is not heard. Afterwards it goes on saying it, and asks how warm they are: that they cool is
 * seen by *Cooling*.
 */
final class TurnOff
{
    /** A file that is being written ends first, or the commands would be written into it; M25 holds what prints from the card. */
    private const COMMANDS = "M29\nM108\nM25\nM104 S0\nM140 S0\nM105\n";

    private const AGAIN_S = 1.0;

    /** s without being heard: the printer is stopped as in an emergency (M112 is heard whatever it does). */
    private const HARDER_S = 6.0;

    /** s after which a printer that says only that it is halted is started anew, so that it reports again. */
    private const ANEW_S = 3.0;

    /** s between two looks once it is confirmed */
    private const LOOKS_S = 2.0;

    private const LOOK = "M104 S0\nM140 S0\nM105\n";

    public bool $confirmed = false;

    private ?float $since = null;

    private float $saidAt = -INF;

    private bool $killed = false;

    private ?float $haltedAt = null;

    /**
     * @param  bool  $kill  it is busy with something that keeps it from hearing anything but an emergency stop
     * @param  float  $patience  as of the run
     */
    public function __construct(private readonly bool $kill, private readonly float $patience = 1.0)
    {
    }

    /** @return string what goes to the printer now */
    public function tick(float $t): string
    {
        if ($this->confirmed) {
            $looks = $t - $this->saidAt >= self::LOOKS_S;
            $this->saidAt = $looks ? $t : $this->saidAt;

            return $looks ? self::LOOK : '';
        }
        $first = $this->since === null;
        $this->since ??= $t;
        if ($this->haltedAt !== null && $t - $this->haltedAt > $this->patience * self::ANEW_S) {
            $this->haltedAt = null;

            return "M999\n".self::COMMANDS;
        }
        if ($t - $this->saidAt < self::AGAIN_S) {
            return '';
        }
        $this->saidAt = $t;
        $harder = ! $this->killed && (($this->kill && $first) || $t - $this->since > $this->patience * self::HARDER_S);
        $this->killed = $this->killed || $harder;

        return self::COMMANDS.($harder ? "M112\n" : '');
    }

    /** A temperature the printer reported after it was told. */
    public function read(Sample $sample): void
    {
        if ($this->since === null || $sample->t < $this->since) {
            return;
        }
        $this->confirmed = $this->confirmed || ($sample->hotendTarget <= 0 && $sample->bedTarget <= 0);
    }

    /** Any other line; a halted printer reports nothing until it is started anew. */
    public function hear(string $line, float $t): void
    {
        if ($this->since !== null && self::halted($line)) {
            $this->haltedAt ??= $t;
        }
    }

    /** Whether this is a printer that has stopped itself. */
    public static function halted(string $line): bool
    {
        return preg_match('/halted|kill\(\)|system stopped/i', $line) === 1;
    }
}
