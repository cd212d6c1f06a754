<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/** One heater that was told to be off, reading by reading. Two readings decide, so that one garbled number does not. */
final class CoolingHeater
{
    /** s of the printer’s time to be seen to cool in; a block is small, a bed is a plate with a print on it. */
    public const WITHIN_S = ['hotend' => 90.0, 'bed' => 240.0];

    /** °C below its hottest since it was off */
    private const FALLS_C = 5.0;

    /** °C below which nothing has to fall; it has to rise no more */
    private const COLD_C = 50.0;

    /** °C down to which it is followed; below, a bed in a warm case hardly falls any more */
    private const HARMLESS_C = 60.0;

    /** A cold one has risen by no more than this for so long. */
    private const STEADY_S = 30.0;

    private const STEADY_C = 1.5;

    /** s; what is left in a heater arrives at its sensor within this, and hotter than that later on is a heater that heats. */
    private const LAGS_S = ['hotend' => 10.0, 'bed' => 30.0];

    private const JUDGED_AFTER_S = ['hotend' => 30.0, 'bed' => 60.0];

    /** s in which one that is followed falls by a degree */
    private const STALLS_S = ['hotend' => 60.0, 'bed' => 300.0];

    private const COLDEST_C = 5.0;

    private const HOTTEST_C = 450.0;

    /** s between the two readings that decide: that it cools, and that it does not */
    private const COOLS_S = 0.5;

    private const HEATS_S = 1.0;

    public bool $seen = false;

    public bool $harmless = false;

    public ?Danger $plug = null;

    private ?float $began = null;

    private ?float $before = null;

    /** The hottest two readings in a row agree on, °C; and the same of the first seconds. */
    private float $hottest = -INF;

    private float $atFirst = -INF;

    /** @var array{float, float} since when it has not risen, and from where */
    private array $level = [0.0, INF];

    /** @var array{float, float} the lowest it was, and when it had fallen to that by a degree */
    private array $lowest = [0.0, INF];

    /** @var array<string, float> since when its readings say so, s */
    private array $since = [];

    /** @param  'hotend'|'bed'  $name */
    public function __construct(private readonly string $name, private readonly float $patience)
    {
    }

    /** °C at a moment, s. */
    public function read(float $c, float $t): void
    {
        $this->began ??= $t;
        $for = $t - $this->began;
        if ($c < self::COLDEST_C || $c > self::HOTTEST_C) {
            // a sensor that is gone is not cold
            $late = $this->lasts('blind', ! $this->seen && $for > self::WITHIN_S[$this->name], $t, self::HEATS_S);
            $this->pull($late, 'is switched off, and its sensor does not say whether it cools', null);

            return;
        }
        $this->follow($c, $t, $for);
        $cold = $c < self::COLD_C && $t - $this->level[0] >= self::STEADY_S;
        $cools = $cold || $c <= $this->hottest - self::FALLS_C;
        $this->seen = $this->lasts('cools', $cools, $t, self::COOLS_S) || $this->seen;
        $this->harmless = $this->harmless || ($this->seen && $c < self::HARMLESS_C);
        if (! $this->seen) {
            $rises = $for > self::JUDGED_AFTER_S[$this->name] && $c > $this->atFirst + self::FALLS_C;
            $heats = ! $cools && ($rises || $for > self::WITHIN_S[$this->name]);
            $this->pull($this->lasts('heats', $heats, $t, self::HEATS_S), 'is switched off and does not cool', 'heats-unasked');
        } elseif (! $this->harmless) {
            [$at, $lowest] = $this->lowest;
            $stalls = $c > $lowest + self::FALLS_C || $t - $at > self::STALLS_S[$this->name];
            $this->pull(
                $this->lasts('stalls', $stalls, $t, self::HEATS_S),
                sprintf('is switched off and cools no further than %.0f °C', $c),
                'heats-unasked',
            );
        }
    }

    private function follow(float $c, float $t, float $for): void
    {
        $agreed = min($c, $this->before ?? $c);
        $higher = max($c, $this->before ?? $c);
        $this->before = $c;
        $this->hottest = max($this->hottest, $agreed);
        if ($for <= self::LAGS_S[$this->name]) {
            $this->atFirst = $this->hottest;
        }
        $this->level = $c > $this->level[1] + self::STEADY_C || $this->level[1] === INF
            ? [$t, $c]
            : [$this->level[0], min($this->level[1], $c)];
        if ($higher <= $this->lowest[1] - 1.0) {
            $this->lowest = [$t, $higher];
        }
    }

    /** Whether it has been so for as long as two readings take. */
    private function lasts(string $what, bool $is, float $t, float $forS): bool
    {
        if (! $is) {
            unset($this->since[$what]);

            return false;
        }
        $this->since[$what] ??= $t;

        return $t - $this->since[$what] >= $forS * ($what === 'cools' ? 1.0 : $this->patience);
    }

    private function pull(bool $now, string $because, ?string $finding): void
    {
        if ($now) {
            $heater = $this->name === 'bed' ? 'bed' : 'hot end';
            $this->plug ??= new Danger("The {$heater} {$because}: pull the plug.", $finding, $this->name);
        }
    }
}
