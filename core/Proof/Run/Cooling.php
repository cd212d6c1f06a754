<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/**
 * Sees heaters cool that were told to be off. A target of 0 is what the board wants, not what its switch does: one that is welded
 * goes on heating, one that leaks creeps or stops half way down. Fallen by five degrees from its hottest, or cold and rising no more,
 * is off as far as can be seen; then it is followed until it is harmless, for half a leak falls as well, and stays (common practice).
 */
final readonly class Cooling
{
    /** @var array<'hotend'|'bed', CoolingHeater> */
    private array $heaters;

    /**
     * @param  non-empty-list<'hotend'|'bed'>  $heaters  those that were on, or may have been
     * @param  float  $patience  as of the run: a simulated printer says what it missed in one breath
     */
    public function __construct(array $heaters, float $patience = 1.0)
    {
        $watched = [];
        foreach ($heaters as $heater) {
            $watched[$heater] = new CoolingHeater($heater, $patience);
        }
        $this->heaters = $watched;
    }

    /** A temperature that was reported after the printer had confirmed that nothing is asked of its heaters. */
    public function read(Sample $sample): void
    {
        foreach ($this->heaters as $name => $heater) {
            $heater->read($name === 'bed' ? $sample->bed : $sample->hotend, $sample->t);
        }
    }

    /** Each of them was seen to cool. */
    public function seen(): bool
    {
        return array_filter($this->heaters, static fn (CoolingHeater $heater): bool => ! $heater->seen) === [];
    }

    /** Each of them has come down to where it burns nobody and lights nothing. */
    public function harmless(): bool
    {
        return array_filter($this->heaters, static fn (CoolingHeater $heater): bool => ! $heater->harmless) === [];
    }

    /** Why only the plug ends it; nothing as long as it may still be seen to cool. */
    public function plug(): ?Danger
    {
        foreach ($this->heaters as $heater) {
            if ($heater->plug !== null) {
                return $heater->plug;
            }
        }

        return null;
    }
}
