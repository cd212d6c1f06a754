<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/**
 * Sees heaters cool that were told to be off. A target of 0 is what the board wants, not what its switch does: one that is welded
 * goes on heating, and one that leaks creeps. Fallen by five degrees from its hottest, or cold and rising no more, is off; what is
 * neither in good time is not (common practice). Two readings decide, so that one garbled number does not.
 */
final class Cooling
{
    /** °C below its hottest since it was off: metal that is not heated any more. */
    public const FALLS_C = 5.0;

    /** °C below which nothing has to fall; it has to rise no more. */
    public const COLD_C = 50.0;

    /** s of the printer’s time; a block is small, a bed is a plate with a print on it. */
    public const WITHIN_S = ['hotend' => 90.0, 'bed' => 240.0];

    /** A cold one has risen by no more than this for so long. */
    private const STEADY_S = 30.0;

    private const STEADY_C = 1.5;

    /** What is left in a heater arrives at its sensor within this; hotter than that later on is a heater that heats. */
    private const LAGS_S = ['hotend' => 10.0, 'bed' => 30.0];

    private const JUDGED_AFTER_S = ['hotend' => 30.0, 'bed' => 60.0];

    private const COLDEST_C = 5.0;

    private const HOTTEST_C = 450.0;

    /** s between the two readings that decide: that it cools, and that it does not */
    private const APART_S = [0.5, 1.0];

    private ?float $began = null;

    /** @var array<string, float> heater => the hottest two readings in a row agree on, °C */
    private array $hottest = [];

    /** @var array<string, float> the same of the first seconds */
    private array $atFirst = [];

    /** @var array<string, float> the reading before */
    private array $before = [];

    /** @var array<string, array{float, float}> heater => since when it has not risen, and from where */
    private array $level = [];

    /** @var array<string, float> heater => since when its readings say so */
    private array $cools = [];

    /** @var array<string, float> */
    private array $heats = [];

    /** @var array<string, true> */
    private array $seen = [];

    private ?Danger $plug = null;

    /**
     * @param  non-empty-list<'hotend'|'bed'>  $heaters  those that were on, or may have been
     * @param  float  $patience  as of the run: a simulated printer says what it missed in one breath
     */
    public function __construct(private readonly array $heaters, private readonly float $patience = 1.0)
    {
    }

    /** A temperature that was reported after the printer had confirmed that nothing is asked of its heaters. */
    public function read(Sample $sample): void
    {
        $this->began ??= $sample->t;
        foreach ($this->heaters as $heater) {
            if (! isset($this->seen[$heater])) {
                $this->look($heater, $heater === 'bed' ? $sample->bed : $sample->hotend, $sample->t, $sample->t - $this->began);
            }
        }
    }

    /** Each of them was seen to cool. */
    public function seen(): bool
    {
        return count($this->seen) === count($this->heaters);
    }

    /** Why only the plug ends it; nothing as long as it may still be seen to cool. */
    public function plug(): ?Danger
    {
        return $this->plug;
    }

    /** @param  'hotend'|'bed'  $heater */
    private function look(string $heater, float $c, float $t, float $for): void
    {
        $readable = $c >= self::COLDEST_C && $c <= self::HOTTEST_C;
        if ($readable) {
            $this->follow($heater, $c, $t, $for);
        }
        $cold = $c < self::COLD_C && $t - ($this->level[$heater][0] ?? $t) >= self::STEADY_S;
        $cools = $readable && ($cold || $c <= $this->hottest[$heater] - self::FALLS_C);
        $heats = ! $cools && ($for > self::WITHIN_S[$heater]
            || ($readable && $for > self::JUDGED_AFTER_S[$heater] && $c > $this->atFirst[$heater] + self::FALLS_C));
        if ($cools) {
            $this->cools[$heater] ??= $t;
        } else {
            unset($this->cools[$heater]);
        }
        if ($heats) {
            $this->heats[$heater] ??= $t;
        } else {
            unset($this->heats[$heater]);
        }
        if ($cools && $t - $this->cools[$heater] >= self::APART_S[0]) {
            $this->seen[$heater] = true;
        } elseif ($heats && $t - $this->heats[$heater] >= $this->patience * self::APART_S[1]) {
            $name = $heater === 'bed' ? 'bed' : 'hot end';
            $this->plug ??= $readable
                ? new Danger("The {$name} is told to be off and does not cool: pull the plug.", 'heats-unasked', $heater)
                : new Danger("The {$name} is told to be off, and its sensor does not say whether it cools: pull the plug.", null, $heater);
        }
    }

    /** @param  'hotend'|'bed'  $heater */
    private function follow(string $heater, float $c, float $t, float $for): void
    {
        $agreed = min($c, $this->before[$heater] ?? $c);
        $this->before[$heater] = $c;
        $this->hottest[$heater] = max($this->hottest[$heater] ?? $agreed, $agreed);
        if ($for <= self::LAGS_S[$heater] || ! isset($this->atFirst[$heater])) {
            $this->atFirst[$heater] = $this->hottest[$heater];
        }
        [$since, $from] = $this->level[$heater] ?? [$t, $c];
        $this->level[$heater] = $c > $from + self::STEADY_C ? [$t, $c] : [$since, min($from, $c)];
    }
}
