<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

/**
 * What a row of trial prints says.
 *
 * @phpstan-import-type Effect from TrialEffects
 */
final readonly class TrialJudgement
{
    private const SAME = 1e-9;

    /**
     * @param  list<array{trial: int, changed: list<string>}>  $changes  against the trial before
     * @param  list<array{trial: int, message: string}>  $warnings
     * @param  list<array{trials: array{int, int}, setting: string, from: float|string|null, to: float|string|null, change: float}>  $singleChanges
     * @param  list<Effect>  $effects  largest first
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
        $single = TrialEffects::singleChanges($trials);
        $effects = $design === null ? TrialEffects::ofPairs($single) : TrialEffects::ofDesign($design);
        $interactions = $design === null ? [] : TrialEffects::together($design);
        $repeat = self::repeatSpread($trials);
        $ratings = array_map(static fn (Trial $t): float => $t->rating, $trials);
        $noise = TrialNoise::of($trials, $design);
        $standsOut = self::standsOut($effects, $noise);
        $top = $effects[0] ?? null;
        $enough = $top !== null && $standsOut === 'matters';
        $matters = $enough ? $top['setting'] : null;
        $changes = self::changes($trials);
        [$verdict, $because] = TrialWords::of($trials, $effects, $interactions, $standsOut, $repeat, $design !== null);

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
                        ucfirst(TrialWords::and($change['changed'])),
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
     * What can be said of the largest effect: that it matters, that it may, that chance does as much, or that one trial against
     * one shows nothing of chance.
     *
     * @param  list<Effect>  $effects
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
}
