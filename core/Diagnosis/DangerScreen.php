<?php

declare(strict_types=1);

namespace OddBench\Diagnosis;

use OddBench\Knowledge\Knowledge;

/**
 * Whether the findings ask for a red tag: a sign of danger was seen, or a dangerous fault is likely enough. One
 * reassuring look never takes it away: each absent finding is left out in turn and the worst counts.
 */
final readonly class DangerScreen
{
    /** @param  list<string>  $because */
    private function __construct(public bool $redTag, public array $because)
    {
    }

    /**
     * @param  array<int, Posterior>  $without  by absent finding: the belief had it not been looked for
     */
    public static function of(Knowledge $knowledge, Beliefs $beliefs, array $without): self
    {
        $because = [];
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
                    $worst = self::worst($beliefs, $without, $i);
                    if ($worst >= $knowledge->bench->redTagFrom) {
                        $because[] = sprintf('%s may be the cause (%d %%), and that is dangerous.', $fault->name, (int) round(100 * $worst));
                    }
                }
            }
        }

        return new self($because !== [], $because);
    }

    /** @param  array<int, Posterior>  $without */
    private static function worst(Beliefs $beliefs, array $without, int $fault): float
    {
        $worst = $beliefs->now()->faults[$fault];
        foreach (array_keys($beliefs->absent) as $finding) {
            $worst = max($worst, $without[$finding]->faults[$fault]);
        }

        return $worst;
    }
}
