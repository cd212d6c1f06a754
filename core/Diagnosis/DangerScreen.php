<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;

/**
 * Whether the findings ask for a red tag: a sign of danger was seen, or a dangerous fault is likely enough. One
 * reassuring look never takes it away: each check's answers of “not there” are left out in turn, and each such answer
 * by itself, and the worst counts.
 */
final readonly class DangerScreen
{
    /** @param  list<string>  $because */
    private function __construct(public bool $redTag, public array $because)
    {
    }

    /** Looks for faults that could hurt somebody and are not settled. */
    public static function of(Knowledge $knowledge, Beliefs $beliefs): self
    {
        $because = [];
        $views = $beliefs->present === [] ? [] : [$beliefs->now(), ...self::withoutOneLook($knowledge, $beliefs)];
        foreach ($beliefs->present as $finding) {
            $seen = $knowledge->findings[$beliefs->network->findings[$finding]];
            if ($seen->redTag) {
                $because[] = "A sign of danger: {$seen->name}.";
            }
        }
        if ($beliefs->present !== []) {
            foreach ($beliefs->network->faults as $i => $code) {
                $fault = $knowledge->faults[$code];
                if ($fault->danger) {
                    $worst = max([0.0, ...array_map(static fn (Posterior $view): float => $view->faults[$i], $views)]);
                    if ($worst >= $knowledge->bench->redTagFrom) {
                        $because[] = sprintf(
                            '%s may be the cause (%d %%), and that is dangerous.',
                            $fault->name,
                            (int) round(100 * $worst),
                        );
                    }
                }
            }
        }

        return new self($because !== [], $because);
    }

    /** @return list<Posterior> what would be believed had one look not been taken, for each look */
    private static function withoutOneLook(Knowledge $knowledge, Beliefs $beliefs): array
    {
        $index = array_flip($beliefs->network->findings);
        $looks = [];
        foreach (array_keys($beliefs->absent) as $finding) {
            $looks["{$finding}"] = [$finding];
        }
        foreach ($knowledge->checks as $check) {
            $not = array_values(array_filter(
                array_map(static fn (string $code): int => $index[$code], $check->yields),
                static fn (int $f): bool => isset($beliefs->absent[$f]),
            ));
            sort($not);
            if ($not !== []) {
                $looks[implode(',', $not)] = $not;
            }
        }

        return array_values(array_map($beliefs->without(...), $looks));
    }
}
