<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/**
 * What the heaters have been told to do, read off the wire itself, so that it is known whoever sent it: commands, and what a
 * file on the printer’s card will tell them once it is started.
 */
final class Asked
{
    /** s; a printer works through what came before, so what was asked last is still allowed for so long */
    private const LAGS_S = 30.0;

    /** @var array{hotend: float, bed: float} °C asked now */
    private array $now = ['hotend' => 0.0, 'bed' => 0.0];

    /** @var array{hotend: float, bed: float} °C asked before that */
    private array $before = ['hotend' => 0.0, 'bed' => 0.0];

    /** @var array{hotend: float, bed: float} */
    private array $changed = ['hotend' => -INF, 'bed' => -INF];

    /** @var array{hotend: float, bed: float} the most the file on the card asks for */
    private array $file = ['hotend' => 0.0, 'bed' => 0.0];

    private bool $writes = false;

    /** @param  string  $bytes  whole lines as they go to the printer, numbered or plain */
    public function sent(string $bytes, float $t): void
    {
        foreach (explode("\n", $bytes) as $line) {
            if (preg_match('/^(?:N\d+\s+)?(M\d+)\b(?:.*?\s[SR](\d+(?:\.\d+)?))?/', $line, $found) === 1) {
                $this->command($found[1], (float) ($found[2] ?? 0.0), $t);
            }
        }
    }

    /** The printer has stopped itself or started anew: nothing is asked any more. */
    public function forget(float $t): void
    {
        $this->writes = false;
        foreach (['hotend', 'bed'] as $heater) {
            $this->ask($heater, 0.0, $t);
        }
    }

    /** Whether any heater has been told to heat and not yet to stop. */
    public function heats(): bool
    {
        return $this->now['hotend'] > 0 || $this->now['bed'] > 0;
    }

    /**
     * @param  'hotend'|'bed'  $heater
     * @return float °C
     */
    public function target(string $heater): float
    {
        return $this->now[$heater];
    }

    /**
     * Whether this heater has been told to heat for so long that its printer must have heard it.
     *
     * @param  'hotend'|'bed'  $heater
     */
    public function heard(string $heater, float $t): bool
    {
        return $this->now[$heater] > 0 && $t - $this->changed[$heater] >= self::LAGS_S;
    }

    /**
     * The highest target this heater may show now.
     *
     * @param  'hotend'|'bed'  $heater
     * @return float °C
     */
    public function allowed(string $heater, float $t): float
    {
        return $t - $this->changed[$heater] < self::LAGS_S ? max($this->now[$heater], $this->before[$heater]) : $this->now[$heater];
    }

    private function command(string $code, float $value, float $t): void
    {
        $heater = match ($code) {
            'M104', 'M109' => 'hotend', 'M140', 'M190' => 'bed', default => null
        };
        if ($code === 'M28') {
            $this->writes = true;
            $this->file = ['hotend' => 0.0, 'bed' => 0.0];
        } elseif ($code === 'M29') {
            $this->writes = false;
        } elseif ($heater !== null && $this->writes) {
            $this->file[$heater] = max($this->file[$heater], $value);
        } elseif ($heater !== null) {
            $this->ask($heater, $value, $t);
        } elseif ($code === 'M24' && ! $this->writes) {
            foreach (['hotend', 'bed'] as $each) {
                $this->ask($each, max($this->now[$each], $this->file[$each]), $t);
            }
        }
    }

    /** @param  'hotend'|'bed'  $heater */
    private function ask(string $heater, float $celsius, float $t): void
    {
        if ($celsius !== $this->now[$heater]) {
            $this->before[$heater] = $this->now[$heater];
            $this->now[$heater] = $celsius;
            $this->changed[$heater] = $t;
        }
    }
}
