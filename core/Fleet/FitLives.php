<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/**
 * Works out the lives of all groups from every part that runs or ran here. A group of which too few failed leans on all of its class,
 * once that is believed; a class leans on the trade’s word. Whether a group lies apart from the others of its class is told by the
 * likelihood ratio of two Weibulls against one, two degrees of freedom (W. Q. Meeker and L. A. Escobar, Statistical Methods for
 * Reliability Data, 1998, 8.5 and B.6).
 */
final readonly class FitLives
{
    /** The 95th percentile of chi-square with two degrees of freedom. */
    public const APART = 5.991464547107979;

    public function __construct(private Knowledge $knowledge, private WearLife $wearLife = new WearLife)
    {
    }

    /**
     * @param  iterable<SeenPart>  $seen
     * @return list<FittedGroup> all of a class before its smaller groups
     */
    public function of(iterable $seen): array
    {
        /** @var array<string, SeenGroup> $groups */
        $groups = [];
        foreach ($seen as $part) {
            $life = $part->life();
            foreach (LifeGroup::allOf($part) as $group) {
                ($groups[$group->key()] ??= new SeenGroup($group))->add($part, $life);
            }
        }
        uasort($groups, static fn (SeenGroup $a, SeenGroup $b): int => [$b->group->isAll(), $a->group->key()]
            <=> [$a->group->isAll(), $b->group->key()]);
        $fitted = $classes = [];
        foreach ($groups as $group) {
            $one = $this->fit($group, $classes[$group->group->class] ?? null, $groups[$group->group->all()->key()]);
            if ($one !== null) {
                $fitted[] = $one;
                $group->group->isAll() ? $classes[$group->group->class] = $one : null;
            }
        }

        return $fitted;
    }

    private function fit(SeenGroup $seen, ?FittedGroup $all, SeenGroup $class): ?FittedGroup
    {
        $wear = $this->knowledge->wear[$seen->group->class] ?? null;
        $trade = $this->tradeHours($seen->group) ?? $wear?->lifeHours;
        $leans = $all !== null && $all->judged->method === 'ml' && $seen->failures() < WearLife::BELIEVES_ITSELF;
        try {
            $judged = $this->wearLife->judge(
                $seen->lives(),
                $leans ? $all->judged->life->mean() : $trade,
                $leans ? $all->judged->life->shape : $wear->shape ?? WearLife::USUAL_SHAPE,
                WearLife::PRIOR_FAILURES,
                'auto',
            );
        } catch (InputError) {
            // hours do not wear it, as far as anybody knows, and too few failed to say otherwise
            return null;
        }

        return new FittedGroup(
            $seen->group,
            $judged,
            $leans,
            $trade,
            $judged->method === 'ml' ? $seen->believedFrom() : null,
            $seen->notCounted(),
            $judged->method === 'ml' && $all !== null ? self::apart($seen, $class) : 0.0,
        );
    }

    /** Twice what two lives, one of the group and one of the rest, explain better than one. */
    private static function apart(SeenGroup $group, SeenGroup $class): float
    {
        $rest = $class->without($group);
        $best = [];
        foreach ([$group->lives(), $rest, $class->lives()] as $lives) {
            $likelihood = $lives === [] ? null : Likelihood::of($lives);
            $life = $likelihood?->best();
            if ($likelihood === null || $life === null) {
                return 0.0;
            }
            $best[] = $likelihood->logInHours($life);
        }

        return max(0.0, 2 * ($best[0] + $best[1] - $best[2]));
    }

    /** Of a family that has its own; the shortest of its positions of that class. */
    private function tradeHours(LifeGroup $group): ?float
    {
        $own = [];
        foreach ($this->knowledge->families[$group->family ?? '']->positions ?? [] as $position) {
            if ($position->partClass === $group->class && $position->lifeHours !== null) {
                $own[] = $position->lifeHours;
            }
        }

        return $own === [] ? null : min($own);
    }
}
