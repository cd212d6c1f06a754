<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Knowledge\Guide;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/** What an open job is still going to ask of the shelf. */
final readonly class KitNeeds
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * @param  list<string>  $faults  confirmed and not mended yet
     * @param  list<string>  $guides  codes of guides begun and not ended
     * @param  array<string, int>  $had  class of part => what the job has taken, or what is promised to it
     * @param  array<string, int>  $ahead  class of part => how many are to be changed before they fail, with those that were by now
     * @return array<string, int> class of part => how many more; what is only needed perhaps is left out
     */
    public function open(string $family, array $faults, array $guides, array $had, array $ahead = []): array
    {
        $traits = Traits::of($this->knowledge->families[$family]->traits ?? []);
        $begun = array_filter($this->knowledge->guides, static fn (Guide $g): bool => in_array($g->code, $guides, true));
        foreach ($faults as $fault) {
            foreach ($this->knowledge->guides as $guide) {
                if (in_array($fault, $guide->mends, true) && $traits->allow($guide->needs)) {
                    // one way of mending each fault: a guide that is begun, else the first that fits
                    $begun += array_filter(
                        $begun,
                        static fn (Guide $g): bool => in_array($fault, $g->mends, true),
                    ) === [] ? [$guide->code => $guide] : [];
                }
            }
        }
        $needs = [];
        foreach ($begun as $guide) {
            $school = $guide->schools()[0] ?? null;
            foreach ($guide->kitOf($school) as $part) {
                if (! $part->ifNeeded) {
                    $needs[$part->class] = ($needs[$part->class] ?? 0) + $part->count;
                }
            }
        }

        foreach ($ahead as $class => $count) {
            // what a guide changes may be what was to be changed
            $needs[$class] = max($needs[$class] ?? 0, $count);
        }
        $left = [];
        foreach ($needs as $class => $count) {
            if ($count > ($had[$class] ?? 0)) {
                $left[$class] = $count - ($had[$class] ?? 0);
            }
        }

        return $left;
    }
}
