<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** How likely a part fails within some weeks, and what changing it now saves against waiting for their end. */
final class PartRisk
{
    /** Weeks that are looked ahead. */
    public const WEEKS = [1, 2, 4, 8];

    /** A part this likely to fail within the span is marked: of seven so marked one fails. */
    public const LIKELY = 0.15;

    /** @var array<string, ChangeAge> */
    private static array $ages = [];

    /**
     * @param  float|null  $age  hours; nothing when nobody knows them: then nothing is foretold
     * @param  float  $perWeek  hours its machine runs, 0 and up
     * @return array<int, array{risk: float, saves: float}> weeks =>
     */
    public static function ahead(Weibull $life, ChangeCosts $costs, ?float $age, float $perWeek): array
    {
        $ahead = [];
        $policy = self::age($life, $costs);
        foreach (self::WEEKS as $weeks) {
            // what does not wear out is not changed by the clock, its successor fails as easily; nor what nobody knows the age of; nor
            // what is far from its cheapest age, for a machine is opened again before that
            $ripe = $age !== null && $policy->flat !== null && $age + $weeks * $perWeek >= $policy->flat[0];
            $now = $ripe ? ChangeNow::of($life, $policy, $costs->planned, $costs->failure, $age, $weeks * $perWeek) : null;
            $ahead[$weeks] = [
                'risk' => $now->risk ?? ($age === null ? 0.0 : $life->failsWithin($age, $weeks * $perWeek)),
                'saves' => $now->saves ?? -$costs->planned,
            ];
        }

        return $ahead;
    }

    /** At which age it is changed; the same question is answered once. */
    public static function age(Weibull $life, ChangeCosts $costs): ChangeAge
    {
        $key = "{$life->shape} {$life->scale} {$costs->planned} {$costs->failure}";
        if (count(self::$ages) > 5000) {
            self::$ages = [];
        }

        return self::$ages[$key] ??= ChangeAge::of($life, max(1e-6, $costs->planned), max(1e-6, $costs->failure));
    }
}
