<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/**
 * How large a difference between trials chance makes by itself. Where trials were repeated: Student’s t with the spread of
 * those set alike. Where a two-level plan was not: Lenth’s pseudo standard error of its contrasts (R. V. Lenth, Quick and easy
 * analysis of unreplicated factorials, Technometrics 31, 1989, 469–473). Else nothing tells.
 *
 * All that is compared is wrong together in one table of twenty at the most (Bonferroni; Lenth’s simultaneous margin).
 */
final readonly class TrialNoise
{
    private const LEVEL = 0.05;

    private const STEPS = [1.0, 0.5, 0.25, 0.2, 0.1, 0.05, 0.01];

    /**
     * @param  float|null  $spread  standard deviation of one rating; null where Lenth’s error stands for it
     * @param  float  $degrees  of freedom
     * @param  float|null  $pseudoError  of a contrast
     */
    private function __construct(private ?float $spread, private float $degrees, private ?float $pseudoError, private int $contrasts)
    {
    }

    /**
     * @param  list<Trial>  $trials
     * @return self|null null when no trial was repeated and they are no two-level plan
     */
    public static function of(array $trials, ?TwoLevelDesign $design): ?self
    {
        $step = self::step(array_map(static fn (Trial $t): float => $t->rating, $trials));
        [$squares, $degrees] = self::within($trials);
        if ($degrees > 0) {
            // ratings in whole steps hide what is smaller: a step’s own rounding is the least
            return new self(sqrt(max($squares / $degrees, $step ** 2 / 12)), $degrees, null, 0);
        }
        $contrasts = $design?->contrasts() ?? [];

        return count($contrasts) < 3 ? null : new self(
            null,
            count($contrasts) / 3,
            max(self::lenth($contrasts), 2 * $step / sqrt(12 * count($trials))),
            count($contrasts),
        );
    }

    /** Trials were repeated, so that chance was seen. */
    public function wasSeen(): bool
    {
        return $this->spread !== null;
    }

    /**
     * From which difference on it is none of chance.
     *
     * @param  int  $low  trials on one side
     * @param  int  $high  on the other
     * @param  int  $compared  differences looked at in all
     */
    public function limit(int $low, int $high, int $compared): float
    {
        return $this->spread === null
            ? StudentT::quantile((1 + (1 - self::LEVEL) ** (1 / $this->contrasts)) / 2, $this->degrees) * (float) $this->pseudoError
            : StudentT::quantile(
                1 - self::LEVEL / 2 / max(1, $compared),
                $this->degrees,
            ) * $this->spread * sqrt(1 / max(1, $low) + 1 / max(1, $high));
    }

    /** From which difference on one that was named beforehand would be none of chance. */
    public function alone(int $low, int $high): float
    {
        return $this->spread === null ? StudentT::quantile(
            1 - self::LEVEL / 2,
            $this->degrees,
        ) * (float) $this->pseudoError : $this->limit($low, $high, 1);
    }

    /**
     * Sum of squares about their means of those set alike, and its degrees of freedom.
     *
     * @param  list<Trial>  $trials
     * @return array{float, int}
     */
    private static function within(array $trials): array
    {
        $squares = 0.0;
        $degrees = 0;
        foreach (self::alike($trials) as $ratings) {
            $mean = array_sum($ratings) / count($ratings);
            $squares += array_sum(array_map(static fn (float $r): float => ($r - $mean) ** 2, $ratings));
            $degrees += count($ratings) - 1;
        }

        return [$squares, $degrees];
    }

    /**
     * @param  list<Trial>  $trials
     * @return list<non-empty-list<float>> ratings of those with the same settings
     */
    public static function alike(array $trials): array
    {
        $alike = [];
        foreach ($trials as $trial) {
            $settings = $trial->settings;
            ksort($settings);
            $alike[(string) json_encode($settings)][] = $trial->rating;
        }

        return array_values($alike);
    }

    /** @param  non-empty-list<float>  $contrasts */
    private static function lenth(array $contrasts): float
    {
        $sizes = array_map(abs(...), $contrasts);
        $first = 1.5 * self::median($sizes);
        $small = array_values(array_filter($sizes, static fn (float $s): bool => $s < 2.5 * $first));

        return 1.5 * self::median($small === [] ? $sizes : $small);
    }

    /** @param  non-empty-list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);
        $middle = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$middle] : ($values[$middle - 1] + $values[$middle]) / 2;
    }

    /**
     * How finely the ratings were given: whole, in halves, in tenths; 0 when finer.
     *
     * @param  list<float>  $ratings
     */
    private static function step(array $ratings): float
    {
        foreach (self::STEPS as $step) {
            if (array_filter($ratings, static fn (float $r): bool => abs($r / $step - round($r / $step)) > 1e-6) === []) {
                return $step;
            }
        }

        return 0.0;
    }
}
