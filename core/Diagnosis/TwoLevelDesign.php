<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/**
 * Trials that vary several settings at once, each between two values, so evenly that every effect is the difference of
 * two means (Box, Hunter and Hunter, Statistics for Experimenters, 2nd ed., chapter 5).
 */
final class TwoLevelDesign
{
    private const SAME = 1e-9;

    /** More settings than this have too many sets to look at each. */
    private const ALL_SETS_OF = 5;

    /** @var array<string, string> sets of settings => the signs of their contrast */
    private array $keys = [];

    /** @var array<string, list<non-empty-list<string>>> signs => the sets that have them */
    private array $alike = [];

    /**
     * @param  array<string, array{float|string, float|string}>  $levels  setting => low, high
     * @param  list<array<string, int>>  $signs  by trial: setting => −1 or 1
     * @param  list<float>  $ratings
     */
    private function __construct(public readonly array $levels, private readonly array $signs, private readonly array $ratings)
    {
    }

    /**
     * @param  list<Trial>  $trials
     * @return self|null null when they are no such design: fewer than two settings vary, one has not two values, or unevenly
     */
    public static function of(array $trials): ?self
    {
        $levels = self::levels($trials);
        if ($levels === null || count($levels) < 2) {
            return null;
        }
        $signs = $ratings = [];
        foreach ($trials as $trial) {
            $row = [];
            foreach ($levels as $setting => [$low]) {
                $row[$setting] = ($trial->settings[$setting] ?? null) === $low ? -1 : 1;
            }
            $signs[] = $row;
            $ratings[] = $trial->rating;
        }
        $design = new self($levels, $signs, $ratings);

        return $design->isEven() ? $design : null;
    }

    /**
     * A plan of trials: every combination, the first setting changing fastest (Yates' standard order).
     *
     * @param  array<string, array{float|string, float|string}>  $levels  setting => low, high
     * @return list<array<string, float|string>>
     */
    public static function plan(array $levels): array
    {
        $runs = [[]];
        foreach ($levels as $setting => $pair) {
            $more = [];
            foreach ($pair as $value) {
                foreach ($runs as $run) {
                    $more[] = $run + [$setting => $value];
                }
            }
            $runs = $more;
        }

        return $runs;
    }

    /**
     * Mean of the ratings at the high value less the mean at the low one; of several settings together: where an even
     * number of them stands low less where an odd number does.
     *
     * @param  non-empty-list<string>  $settings
     */
    public function effect(array $settings): float
    {
        $sum = [-1 => 0.0, 1 => 0.0];
        $count = [-1 => 0, 1 => 0];
        foreach ($this->column($settings) as $i => $sign) {
            $sum[$sign] += $this->ratings[$i];
            $count[$sign]++;
        }

        return $sum[1] / max(1, $count[1]) - $sum[-1] / max(1, $count[-1]);
    }

    /** Trials on each side of an effect. */
    public function half(): int
    {
        return intdiv(count($this->ratings), 2);
    }

    /**
     * What changes together with this effect in these trials and so cannot be told from it.
     *
     * @param  non-empty-list<string>  $settings
     * @return list<list<string>>
     */
    public function aliases(array $settings): array
    {
        if ($this->alike === []) {
            foreach ($this->combinations() as $set) {
                $this->alike[$this->key($set)][] = $set;
            }
        }

        return array_values(array_filter(
            $this->alike[$this->key($settings)] ?? [],
            static fn (array $others): bool => $others !== $settings,
        ));
    }

    /**
     * Every comparison these trials hold, each once: n − 1 of them in a plan of n trials of which none is repeated.
     *
     * @return list<float>
     */
    public function contrasts(): array
    {
        $contrasts = [];
        foreach ($this->combinations() as $settings) {
            $key = $this->key($settings);
            if (str_contains($key, '-')) {
                $contrasts[$key] ??= $this->effect($settings);
            }
        }

        return array_values($contrasts);
    }

    /**
     * The same for two sets whose signs agree in every trial, or differ in every one; without a minus when it has no contrast.
     *
     * @param  non-empty-list<string>  $settings
     */
    private function key(array $settings): string
    {
        return $this->keys[implode("\0", $settings)] ??= $this->signature($settings);
    }

    /** @param  non-empty-list<string>  $settings */
    private function signature(array $settings): string
    {
        $column = $this->column($settings);

        return implode('', array_map(static fn (int $sign): string => $sign === $column[0] ? '+' : '-', $column));
    }

    /** @return list<non-empty-list<string>> every set of two settings or more, then none that has no contrast */
    public function interactions(): array
    {
        return array_values(array_filter(
            $this->combinations(),
            fn (array $set): bool => count($set) > 1 && count(array_unique($this->column($set))) === 2,
        ));
    }

    /**
     * Every set of settings, small ones first; of many settings only the pairs, for larger sets of them are told apart by no
     * plan anybody prints.
     *
     * @return list<non-empty-list<string>>
     */
    private function combinations(): array
    {
        $most = count($this->levels) > self::ALL_SETS_OF ? 2 : count($this->levels);
        $sets = [[]];
        foreach (array_keys($this->levels) as $setting) {
            foreach ($sets as $set) {
                if (count($set) < $most) {
                    $sets[] = [...$set, $setting];
                }
            }
        }
        $sets = array_values(array_filter($sets, static fn (array $set): bool => $set !== []));
        usort($sets, static fn (array $a, array $b): int => count($a) <=> count($b));

        return $sets;
    }

    /**
     * @param  list<string>  $settings
     * @return list<-1|1>
     */
    private function column(array $settings): array
    {
        return array_map(static function (array $row) use ($settings): int {
            $sign = 1;
            foreach ($settings as $setting) {
                $sign *= $row[$setting];
            }

            return $sign < 0 ? -1 : 1;
        }, $this->signs);
    }

    /** Each setting stands low as often as high, also among the trials where another one stands low or high. */
    private function isEven(): bool
    {
        $names = array_keys($this->levels);
        foreach ($names as $i => $one) {
            if (abs(array_sum($this->column([$one]))) > self::SAME) {
                return false;
            }
            foreach (array_slice($names, $i + 1) as $other) {
                if (abs(array_sum($this->column([$one, $other]))) > self::SAME) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * @param  list<Trial>  $trials
     * @return array<string, array{float|string, float|string}>|null
     */
    private static function levels(array $trials): ?array
    {
        $values = [];
        foreach ($trials as $trial) {
            foreach ($trial->settings as $setting => $value) {
                if (! in_array($value, $values[$setting] ?? [], true)) {
                    $values[$setting][] = $value;
                }
            }
        }
        $levels = [];
        foreach ($values as $setting => $its) {
            foreach ($trials as $trial) {
                if (! isset($trial->settings[$setting])) {
                    return null;
                }
            }
            if (count($its) > 2) {
                return null;
            }
            if (count($its) === 2) {
                $levels[$setting] = self::ordered($its[0], $its[1]);
            }
        }

        return $levels;
    }

    /** @return array{float|string, float|string} numbers by size, words as they came */
    public static function ordered(float|string $a, float|string $b): array
    {
        return is_float($a) && is_float($b) && $a > $b ? [$b, $a] : [$a, $b];
    }
}
