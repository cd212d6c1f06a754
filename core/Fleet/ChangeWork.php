<?php

declare(strict_types=1);

namespace OddBench\Fleet;

use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Guide;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/** How a class of part is changed in a family: in how many minutes, by which guide, and what is to be proved after. */
final readonly class ChangeWork
{
    /** Minutes of hands where nothing is known of it (from memory). */
    public const USUAL_MINUTES = 20.0;

    private function __construct(public float $minutes, public ?string $guide)
    {
    }

    public static function of(Knowledge $knowledge, string $family, string $class): self
    {
        $traits = Traits::of($knowledge->families[$family]->traits ?? []);
        $faults = array_filter(
            $knowledge->faults,
            static fn (Fault $f): bool => in_array($class, $f->mend()->parts, true) && $traits->allow($f->needs),
        );
        $guides = array_filter($knowledge->guides, static fn (Guide $g): bool => $traits->allow($g->needs) && self::takes($g, $class));
        // the one that puts a failed one right before one that changes it along with other things
        uasort($guides, static fn (Guide $a, Guide $b): int => [
            self::surely($b, $class),
            array_intersect($b->mends, array_keys($faults)) !== [],
            $a->practised,
            $a->code,
        ] <=> [self::surely($a, $class), array_intersect($a->mends, array_keys($faults)) !== [], $b->practised, $b->code]);
        $guide = array_values($guides)[0] ?? null;
        $minutes = array_map(static fn (Fault $f): float => $f->mend()->minutes, array_values($faults));

        return new self($guide->practised ?? ($minutes === [] ? self::USUAL_MINUTES : min($minutes)), $guide?->code);
    }

    /** Not only when the old one is found bad. */
    private static function surely(Guide $guide, string $class): bool
    {
        foreach ($guide->kit as $part) {
            if ($part->class === $class && ! $part->ifNeeded) {
                return true;
            }
        }

        return false;
    }

    private static function takes(Guide $guide, string $class): bool
    {
        foreach ($guide->kit as $part) {
            if ($part->class === $class) {
                return true;
            }
        }

        return false;
    }
}
