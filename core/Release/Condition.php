<?php

declare(strict_types=1);

namespace OddBench\Release;

use OddBench\Input\InputError;

/**
 * The grade of a machine for sale and why it is no better (common practice: wear by hours, what was not proved, what is
 * known to be wrong). A person may set it lower in words, never higher.
 */
final readonly class Condition
{
    private const FRESH_SHARE = 0.25;

    private const GOOD_SHARE = 0.7;

    private const NAMED = 3;

    /** @param  list<string>  $because  what keeps it from a better grade; empty for the best */
    private function __construct(public Grade $grade, public array $because)
    {
    }

    /**
     * @param  list<WornPosition>  $positions
     * @param  list<string>  $waived  names of proofs a lead waived
     * @param  string|null  $shortcomings  what is known to be wrong and stays so, in words
     */
    public static function of(array $positions, array $waived, ?string $shortcomings): self
    {
        $grade = Grade::Fresh;
        $because = [];
        $down = static function (Grade $to, string $why) use (&$grade, &$because): void {
            $grade = $grade->betterThan($to) ? $to : $grade;
            $because[] = $why;
        };
        foreach ([
            [Grade::Worn, 'Past its usual life', 1.0, INF, false],
            [Grade::Used, 'Past seven tenths of its life', self::GOOD_SHARE, 1.0, false],
            [Grade::Good, 'Past a quarter of its life', self::FRESH_SHARE, self::GOOD_SHARE, false],
            [Grade::Used, 'Due to be changed soon, a matter of minutes', 1.0, INF, true],
        ] as [$to, $why, $above, $most, $consumable]) {
            $names = self::between($positions, $above, $most, $consumable);
            if ($names !== []) {
                $down($to, "{$why}: ".self::named($names));
            }
        }
        $unknown = array_map(
            static fn (WornPosition $p): string => $p->name,
            array_filter($positions, static fn (WornPosition $p): bool => $p->life !== null && $p->hours === null),
        );
        if ($unknown !== []) {
            $down(Grade::Used, 'Hours not known: '.self::named(array_values($unknown)));
        }
        if ($waived !== []) {
            $down(Grade::Used, 'Not proved: '.self::named($waived));
        }
        if ($shortcomings !== null && trim($shortcomings) !== '') {
            $down(Grade::Used, 'Known: '.trim($shortcomings));
        }

        return new self($grade, $because);
    }

    /**
     * As somebody sees it who has it before them: lower, with the reason.
     *
     * @throws InputError when it is set higher than computed, or without a reason
     */
    public function loweredTo(Grade $grade, ?string $why): self
    {
        if ($grade === $this->grade) {
            return $this;
        }
        if ($grade->betterThan($this->grade)) {
            throw InputError::at('grade', "By what is known the grade is “{$this->grade->words()}”; it can be set lower, never higher.");
        }
        if ($why === null || mb_strlen(trim($why)) < 5) {
            throw InputError::at('gradeBecause', 'Say what you see that makes it lower: its buyer reads it.');
        }

        return new self($grade, [...$this->because, trim($why)]);
    }

    /**
     * @param  list<WornPosition>  $positions
     * @return list<string> the most worn first, with its figures
     */
    private static function between(array $positions, float $above, float $most, bool $consumable): array
    {
        $of = array_values(array_filter(
            $positions,
            static fn (WornPosition $p): bool => $p->consumable === $consumable
                && $p->share() !== null
                && $p->share() > $above
                && $p->share() <= $most,
        ));
        usort($of, static fn (WornPosition $a, WornPosition $b): int => [$b->share(), $a->name] <=> [$a->share(), $b->name]);
        $whole = static fn (?float $hours): string => number_format((float) $hours, 0, '.', "\u{A0}");

        return array_map(static fn (WornPosition $p): string => "{$p->name} ({$whole($p->hours)} of {$whole($p->life)}\u{A0}h)", $of);
    }

    /** @param  list<string>  $names */
    private static function named(array $names): string
    {
        return implode(
            ', ',
            array_slice($names, 0, self::NAMED),
        ).(count($names) > self::NAMED ? ' and '.(count($names) - self::NAMED).' more' : '');
    }
}
