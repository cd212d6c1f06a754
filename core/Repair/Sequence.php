<?php

declare(strict_types=1);

namespace OddBench\Repair;

use OddBench\Input\InputError;

/**
 * The order in which a machine goes together again: last off, first on, as far as steps depend on each other
 * (topological order by Kahn 1962, the latest taken off first among those that may).
 */
final readonly class Sequence
{
    /**
     * @param  array<string, TeardownStep>  $steps  in the order they came off
     * @param  array<string, list<string>>  $needs  step => steps that must be back before it
     * @param  list<string>  $order
     */
    private function __construct(private array $steps, private array $needs, public array $order)
    {
    }

    /**
     * @param  list<TeardownStep>  $steps  in the order they came off
     *
     * @throws InputError for a step named twice, one nobody knows, or a circle
     */
    public static function of(array $steps): self
    {
        $byId = [];
        foreach ($steps as $i => $step) {
            if (isset($byId[$step->id])) {
                throw InputError::at("steps.{$i}.id", "There are two steps “{$step->id}”.");
            }
            $byId[$step->id] = $step;
        }
        $needs = array_fill_keys(array_keys($byId), []);
        foreach ($steps as $i => $step) {
            foreach (['after' => $step->after, 'before' => $step->before] as $field => $others) {
                foreach ($others as $k => $other) {
                    if (! isset($byId[$other])) {
                        throw InputError::unknown("steps.{$i}.{$field}.{$k}", 'step', $other, array_map(strval(...), array_keys($byId)));
                    }
                    $needs[$other][] = $step->id;
                }
            }
        }
        $needs = array_map(static fn (array $ids): array => array_values(array_unique($ids)), $needs);

        return new self($byId, $needs, self::sorted($byId, $needs));
    }

    /**
     * What must be back before a step goes on.
     *
     * @return list<string> ids
     */
    public function needs(string $id): array
    {
        return $this->needs[$id];
    }

    /**
     * What a step still waits for.
     *
     * @param  list<string>  $back
     * @return list<string> ids
     */
    public function waitsFor(string $id, array $back): array
    {
        return array_values(array_diff($this->needs[$id], $back));
    }

    /** @throws InputError when there is no such step */
    public function step(string $id, string $field): TeardownStep
    {
        return $this->steps[$id] ?? throw InputError::unknown($field, 'step', $id, array_map(strval(...), array_keys($this->steps)));
    }

    /**
     * @param  array<string, TeardownStep>  $steps
     * @param  array<string, list<string>>  $needs
     * @return list<string>
     */
    private static function sorted(array $steps, array $needs): array
    {
        $order = [];
        $left = array_reverse(array_map(strval(...), array_keys($steps)));
        while ($left !== []) {
            $next = null;
            foreach ($left as $id) {
                if (array_diff($needs[$id], $order) === []) {
                    $next = $id;
                    break;
                }
            }
            if ($next === null) {
                $names = implode(', ', array_map(static fn (string $id): string => "“{$steps[$id]->off}”", $left));
                throw InputError::at('steps', "These steps wait for each other in a circle: {$names}. Take one “after” or “before” away.");
            }
            $order[] = $next;
            $left = array_values(array_diff($left, [$next]));
        }

        return $order;
    }
}
