<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/**
 * Switches both heaters off and does not rest until the printer itself reports that nothing is asked of them any more: says it
 * again and again, harder when it is not heard, and after each new connection from the beginning.
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

    private const FALLS_C = 3.0;

    public bool $confirmed = false;

    private ?float $since = null;

    private float $saidAt = -INF;

    private bool $killed = false;

    private ?float $haltedAt = null;

    private float $peak = -INF;

    /**
     * @param  bool  $kill  it is busy with something that keeps it from hearing anything but an emergency stop
     * @param  'hotend'|'bed'|null  $mustFall  heater that got too hot: it has to be seen cooling, a target of 0 alone says nothing
     * @param  float  $patience  as of the run
     */
    public function __construct(private readonly bool $kill, private readonly ?string $mustFall, private readonly float $patience = 1.0)
    {
    }

    /** A new connection: everything is said anew. */
    public function reconnected(): void
    {
        $this->saidAt = -INF;
        $this->since = null;
        $this->haltedAt = null;
        $this->killed = false;
    }

    /** @return string what goes to the printer now */
    public function tick(float $t): string
    {
        if ($this->confirmed) {
            return '';
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
        $off = $sample->hotendTarget <= 0 && $sample->bedTarget <= 0;
        $stuck = $this->mustFall === 'bed' ? $sample->bed : $sample->hotend;
        $this->peak = max($this->peak, $stuck);
        if ($off && ($this->mustFall === null || $stuck < $this->peak - self::FALLS_C)) {
            $this->confirmed = true;
        }
    }

    /** Any other line; a halted printer reports nothing until it is started anew. */
    public function hear(string $line, float $t): void
    {
        if ($this->since !== null && preg_match('/halted|kill\(\)/i', $line) === 1) {
            $this->haltedAt ??= $t;
        }
    }
}
