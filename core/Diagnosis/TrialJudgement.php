<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/** What a row of trial prints says. */
final readonly class TrialJudgement
{
    private const SAME = 1e-9;

    /**
     * @param  list<array{trial: int, changed: list<string>}>  $changes  against the trial before
     * @param  list<array{trial: int, message: string}>  $warnings
     * @param  list<array{trials: array{int, int}, setting: string, from: float|string|null, to: float|string|null, change: float}>  $singleChanges
     * @param  list<array{setting: string, effect: float, kind: string, low: float|string|null, high: float|string|null, pairs: int, sides: array{int, int}, compared: int}>  $effects  largest first
     * @param  list<array{settings: list<string>, effect: float, same_as: list<list<string>>}>  $interactions  largest first
     * @param  string|null  $matters  the setting that matters most
     * @param  float|string|null  $better  the value of it that is better
     * @param  int|null  $best  the trial rated highest
     * @param  float|null  $repeatSpread  the widest range among trials set alike; null when none was repeated
     * @param  'ok'|'watch'|'out'  $verdict  ok: a setting stands out; watch: not settled; out: settings make no difference
     */
    private function __construct(
        public array $changes,
        public array $warnings,
        public array $singleChanges,
        public array $effects,
        public array $interactions,
        public ?string $matters,
        public float|string|null $better,
        public ?int $best,
        public ?float $repeatSpread,
        public string $verdict,
        public string $because,
    ) {
    }

    /** @param  list<Trial>  $trials  in the order they were printed */
    public static function of(array $trials): self
    {
        $design = TwoLevelDesign::of($trials);
        $single = self::singleChanges($trials);
        $effects = $design === null ? self::effectsOfPairs($single) : self::effectsOfDesign($design);
        $interactions = $design === null ? [] : self::interactionsOf($design);
        $repeat = self::repeatSpread($trials);
        $ratings = array_map(static fn (Trial $t): float => $t->rating, $trials);
        $noise = TrialNoise::of($trials, $design);
        $standsOut = self::standsOut($effects, $noise);
        $top = $effects[0] ?? null;
        $enough = $top !== null && $standsOut === 'matters';
        $matters = $enough ? $top['setting'] : null;
        $changes = self::changes($trials);
        [$verdict, $because] = self::words($trials, $effects, $interactions, $standsOut, $repeat, $design !== null);

        return new self(
            changes: $changes,
            warnings: self::warnings($trials, $changes, $design !== null),
            singleChanges: $single,
            effects: $effects,
            interactions: $interactions,
            matters: $matters,
            better: $enough ? ($top['effect'] > 0 ? $top['high'] : $top['low']) : null,
            best: $ratings === [] ? null : $trials[(int) array_search(max($ratings), $ratings, true)]->number,
            repeatSpread: $repeat,
            verdict: $verdict,
            because: $because,
        );
    }

    /**
     * @param  list<Trial>  $trials
     * @return list<array{trial: int, changed: list<string>}>
     */
    private static function changes(array $trials): array
    {
        $changes = [];
        foreach ($trials as $i => $trial) {
            $changes[] = ['trial' => $trial->number, 'changed' => $i === 0 ? [] : $trials[$i - 1]->differsIn($trial)];
        }

        return $changes;
    }

    /**
     * @param  list<Trial>  $trials
     * @param  list<array{trial: int, changed: list<string>}>  $changes
     * @return list<array{trial: int, message: string}>
     */
    private static function warnings(array $trials, array $changes, bool $design): array
    {
        $warnings = [];
        foreach ($changes as $i => $change) {
            $many = count($change['changed']);
            if ($many > 1 && ! $design) {
                $warnings[] = [
                    'trial' => $change['trial'],
                    'message' => sprintf(
                        '%s changed at once: whatever happened, it is not known which did it.',
                        ucfirst(self::and($change['changed'])),
                    ),
                ];
            }
            if ($i > 0
                && $trials[$i]->bandMm !== null
                && $trials[$i - 1]->bandMm !== null
                && $many > 0
                && $trials[$i]->bandMm[0] >= $trials[$i - 1]->bandMm[1]) {
                $warnings[] = [
                    'trial' => $change['trial'],
                    'message' => 'Changed on the way up one print: the height changed as well, and heat with it. Repeat it from the bed before believing it.',
                ];
            }
        }

        return $warnings;
    }

    /**
     * @param  list<Trial>  $trials
     * @return list<array{trials: array{int, int}, setting: string, from: float|string|null, to: float|string|null, change: float}>
     */
    private static function singleChanges(array $trials): array
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
     * @return list<array{setting: string, effect: float, kind: string, low: float|string|null, high: float|string|null, pairs: int, sides: array{int, int}, compared: int}>
     */
    private static function effectsOfPairs(array $single): array
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
     * @return list<array{setting: string, effect: float, kind: string, low: float|string|null, high: float|string|null, pairs: int, sides: array{int, int}, compared: int}>
     */
    private static function effectsOfDesign(TwoLevelDesign $design): array
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
    private static function interactionsOf(TwoLevelDesign $design): array
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

    /**
     * What can be said of the largest effect: that it matters, that it may, that chance does as much, or that one trial against
     * one shows nothing of chance.
     *
     * @param  list<array{setting: string, effect: float, kind: string, low: float|string|null, high: float|string|null, pairs: int, sides: array{int, int}, compared: int}>  $effects
     * @return 'matters'|'may'|'chance'|'once'|'none'
     */
    private static function standsOut(array $effects, ?TrialNoise $noise): string
    {
        $top = $effects[0] ?? null;
        if ($top === null || abs($top['effect']) <= self::SAME) {
            return 'none';
        }
        if ($noise === null) {
            return 'once';
        }
        $limit = $noise->limit($top['sides'][0], $top['sides'][1], $top['compared']);

        return match (true) {
            abs($top['effect']) > $limit => 'matters',
            abs($top['effect']) > $noise->alone($top['sides'][0], $top['sides'][1]) || ! $noise->wasSeen() => 'may',
            default => 'chance',
        };
    }

    /** @param  list<Trial>  $trials */
    private static function repeatSpread(array $trials): ?float
    {
        $spreads = array_map(
            static fn (array $ratings): float => max($ratings) - min($ratings),
            array_filter(TrialNoise::alike($trials), static fn (array $ratings): bool => count($ratings) > 1),
        );

        return $spreads === [] ? null : max($spreads);
    }

    /**
     * @param  list<Trial>  $trials
     * @param  list<array{setting: string, effect: float, kind: string, low: float|string|null, high: float|string|null, pairs: int, sides: array{int, int}, compared: int}>  $effects
     * @param  list<array{settings: list<string>, effect: float, same_as: list<list<string>>}>  $interactions
     * @param  'matters'|'may'|'chance'|'once'|'none'  $standsOut
     * @return array{'ok'|'watch'|'out', string}
     */
    private static function words(
        array $trials,
        array $effects,
        array $interactions,
        string $standsOut,
        ?float $repeat,
        bool $design,
    ): array {
        $stopped = count(array_filter($trials, static fn (Trial $t): bool => $t->stopped));
        $note = $stopped === 0 ? '' : sprintf(
            ' %d of the trials %s stopped early: rate those for what was seen.',
            $stopped,
            $stopped === 1 ? 'was' : 'were',
        );
        if (count($trials) < 2 || $effects === []) {
            return [
                'watch',
                (count($trials) < 2 ? 'One trial says nothing yet: change one setting and print it again.' : 'No two trials differ in one setting alone: change one thing at a time.')
                    .$note,
            ];
        }
        $top = $effects[0];
        $better = $top['effect'] > 0 ? [$top['low'], $top['high']] : [$top['high'], $top['low']];
        $rises = sprintf('from %s to %s', self::said($better[0]), self::said($better[1]));
        $by = self::plain(abs($top['effect']));
        if ($standsOut !== 'matters') {
            return match ($standsOut) {
                'none' => ['out', 'No setting makes any difference. Look for a fault in the machine.'.$note],
                'chance' => [
                    'out',
                    sprintf(
                        'No setting makes a difference that counts: the largest, %s, changes the rating by %s, and prints set alike differ by %s. Look for a fault in the machine.',
                        $top['setting'],
                        $by,
                        self::plain($repeat ?? 0.0),
                    ).$note,
                ],
                'once' => [
                    'watch',
                    sprintf(
                        '%s %s was better by %s, once. That may be chance: print both again before believing it.',
                        ucfirst($top['setting']),
                        $rises,
                        $by,
                    ).$note,
                ],
                default => [
                    'watch',
                    sprintf(
                        '%s %s was better by %s, but chance may make as much here: print the better and the worse one again.',
                        ucfirst($top['setting']),
                        $rises,
                        $by,
                    ).$note,
                ],
            };
        }
        $words = sprintf(
            '%s matters: from %s to %s the rating rises by %s%s.',
            ucfirst($top['setting']),
            self::said($better[0]),
            self::said($better[1]),
            self::plain(abs($top['effect'])),
            $design ? ' in the mean' : '',
        );
        $strong = $interactions[0] ?? null;
        if ($strong !== null && count($strong['settings']) === 2 && abs($strong['effect']) > abs($top['effect']) / 3) {
            $words .= sprintf(
                ' %s work together (%s): judge them as a pair.',
                ucfirst(self::and($strong['settings'])),
                self::plain($strong['effect']),
            );
        }

        return ['ok', $words.$note];
    }

    private static function said(float|string|null $value): string
    {
        return $value === null ? 'not set' : (is_float($value) ? self::plain($value) : $value);
    }

    private static function plain(float $number): string
    {
        return (string) round($number, 2);
    }

    /** @param  list<string>  $names */
    private static function and(array $names): string
    {
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names)." and {$last}";
    }
}
