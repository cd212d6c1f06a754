<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/**
 * What each setting, and settings together, do to the rating: by pairs that differ in one setting, or by a two-level design.
 *
 * @phpstan-type Effect array{setting: string, effect: float, kind: string, low: float|string|null, high: float|string|null, pairs: int,
 *     sides: array{int, int}, compared: int}
 */
final readonly class TrialEffects
{
    /**
     * @param  list<Trial>  $trials
     * @return list<array{trials: array{int, int}, setting: string, from: float|string|null, to: float|string|null, change: float}>
     */
    public static function singleChanges(array $trials): array
    {
        $single = [];
        foreach ($trials as $i => $later) {
            foreach (array_slice($trials, 0, $i) as $earlier) {
                $differs = $earlier->differsIn($later);
                if (count($differs) === 1) {
                    $single[] = [
                        'trials' => [$earlier->number, $later->number],
                        'setting' => $differs[0],
                        'from' => $earlier->settings[$differs[0]] ?? null,
                        'to' => $later->settings[$differs[0]] ?? null,
                        'change' => $later->rating - $earlier->rating,
                    ];
                }
            }
        }

        return $single;
    }

    /**
     * Of a setting with several values the two furthest apart in rating count.
     *
     * @param  list<array{trials: array{int, int}, setting: string, from: float|string|null, to: float|string|null, change: float}>  $single
     * @return list<Effect>
     */
    public static function ofPairs(array $single): array
    {
        $pairs = [];
        foreach ($single as $change) {
            [$low, $high, $effect] = self::upwards($change['from'], $change['to'], $change['change']);
            $key = json_encode([$change['setting'], $low, $high]);
            $pairs[$key]['of'] ??= [$change['setting'], $low, $high];
            $pairs[$key]['changes'][] = $effect;
            [$one, $two] = $low === $change['from'] ? $change['trials'] : array_reverse($change['trials']);
            $pairs[$key]['lows'][$one] = $pairs[$key]['highs'][$two] = true;
        }
        $effects = [];
        foreach ($pairs as $pair) {
            [$setting, $low, $high] = $pair['of'];
            $effect = array_sum($pair['changes']) / count($pair['changes']);
            if (! isset($effects[$setting]) || abs($effect) > abs($effects[$setting]['effect'])) {
                $effects[$setting] = [
                    'setting' => $setting,
                    'effect' => $effect,
                    'kind' => 'single-changes',
                    'low' => $low,
                    'high' => $high,
                    'pairs' => count($pair['changes']),
                    'sides' => [count($pair['lows']), count($pair['highs'])],
                    'compared' => count($pairs),
                ];
            }
        }

        return self::largestFirst(array_values($effects));
    }

    /** @return array{float|string|null, float|string|null, float} low, high, effect of going up */
    private static function upwards(float|string|null $from, float|string|null $to, float $change): array
    {
        $down = is_float($from) && is_float($to) ? $from > $to : (string) json_encode($from) > (string) json_encode($to);

        return $down ? [$to, $from, -$change] : [$from, $to, $change];
    }

    /**
     * @return list<Effect>
     */
    public static function ofDesign(TwoLevelDesign $design): array
    {
        $effects = [];
        foreach ($design->levels as $setting => [$low, $high]) {
            $effects[] = [
                'setting' => $setting,
                'effect' => $design->effect([$setting]),
                'kind' => 'two-level',
                'low' => $low,
                'high' => $high,
                'pairs' => 0,
                'sides' => [$design->half(), $design->half()],
                'compared' => count($design->levels),
            ];
        }

        return self::largestFirst($effects);
    }

    /** @return list<array{settings: list<string>, effect: float, same_as: list<list<string>>}> */
    public static function together(TwoLevelDesign $design): array
    {
        $interactions = [];
        foreach ($design->interactions() as $settings) {
            $interactions[] = ['settings' => $settings, 'effect' => $design->effect($settings), 'same_as' => $design->aliases($settings)];
        }

        return self::largestFirst($interactions);
    }

    /**
     * @template T of array{effect: float}
     *
     * @param  list<T>  $effects
     * @return list<T>
     */
    private static function largestFirst(array $effects): array
    {
        usort($effects, static fn (array $a, array $b): int => abs($b['effect']) <=> abs($a['effect']));

        return $effects;
    }
}
