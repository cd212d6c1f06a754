<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Knowledge\Knowledge;

/** Which life a part is judged by. */
final readonly class LifeBook
{
    /** @param  array<string, GroupLife>  $lives  by the key of their group */
    private function __construct(private array $lives, private Knowledge $knowledge)
    {
    }

    /** @param  iterable<GroupLife>  $lives */
    public static function of(iterable $lives, Knowledge $knowledge): self
    {
        $byKey = [];
        foreach ($lives as $life) {
            $byKey[$life->group->key()] = $life;
        }

        return new self($byKey, $knowledge);
    }

    /**
     * Of the groups it belongs to the one that lies farthest apart from the others of its class, if that is more than chance and enough
     * of it failed; else all of its class; else what the trade says of it.
     *
     * @return GroupLife|null nothing where hours do not wear it
     */
    public function lifeOf(SeenPart $part): ?GroupLife
    {
        $best = null;
        foreach (LifeGroup::allOf($part) as $group) {
            $life = $this->lives[$group->key()] ?? null;
            if ($life !== null && $life->believesItself() && $life->differs() && $life->apart > ($best->apart ?? 0.0)) {
                $best = $life;
            }
        }
        $all = $this->lives[LifeGroup::of($part->class)->key()] ?? null;

        return $best ?? ($all === null ? $this->usual($part) : $this->ofFamily($part, $all));
    }

    /** A family whose parts last shorter or longer by the trade’s word is not judged by a class too few of which failed. */
    private function ofFamily(SeenPart $part, GroupLife $life): GroupLife
    {
        $own = $this->knowledge->families[$part->family]->positions[$part->position]->lifeHours ?? null;

        return $own === null || $life->believesItself() ? $life : $this->usual($part) ?? $life;
    }

    private function usual(SeenPart $part): ?GroupLife
    {
        $wear = $this->knowledge->wear[$part->class] ?? null;
        $hours = $this->knowledge->families[$part->family]->positions[$part->position]->lifeHours ?? $wear?->lifeHours;

        return $hours === null ? null : new GroupLife(
            LifeGroup::of($part->class),
            Weibull::withMean($wear->shape ?? WearLife::USUAL_SHAPE, $hours),
            0,
            0,
        );
    }
}
