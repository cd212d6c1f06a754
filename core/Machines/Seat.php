<?php

declare(strict_types=1);

namespace OddBench\Machines;

use OddBench\Knowledge\Family;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Position;

/**
 * What may sit in a position of a machine: a part of the class the position takes, or one declared as its substitute, that
 * fits the family and its traits, and no more pieces than there are places. The one rule for using a part and for taking
 * one out of a donor.
 */
final readonly class Seat
{
    public function __construct(private Knowledge $knowledge, private Family $family, private Position $position)
    {
    }

    /**
     * @param  string  $name  of the part, for the words
     * @param  string  $class  of the part
     * @param  list<string>  $standsInFor  classes of parts it is declared a substitute of
     * @param  int  $count  pieces, 1 or more
     * @return list<string> why it may not sit there, in words; none when it may
     */
    public function refuses(string $name, string $class, array $standsInFor, Fit $fit, int $count): array
    {
        $refusals = [];
        if ($class !== $this->position->partClass && ! in_array($this->position->partClass, $standsInFor, true)) {
            $refusals[] = sprintf(
                '“%s” is a %s; %s takes a %s.',
                $name,
                $this->named($class),
                $this->position->name,
                $this->named($this->position->partClass),
            );
        } elseif (! $fit->allows($this->family, $class === $this->position->partClass ? $this->position->code : null)) {
            $refusals[] = sprintf(
                '“%s” does not fit %s of a %s: %s.',
                $name,
                $this->position->name,
                $this->family->name,
                $this->because($fit),
            );
        }
        if ($count > $this->position->count) {
            $refusals[] = sprintf(
                '%s has %s, not %d.',
                $this->position->name,
                $this->position->count === 1 ? 'one place' : "{$this->position->count} places",
                $count,
            );
        }

        return $refusals;
    }

    private function named(string $class): string
    {
        return $this->knowledge->partClasses[$class] ?? $class;
    }

    private function because(Fit $fit): string
    {
        foreach ($fit->traits as $trait => $value) {
            if (isset($this->family->traits[$trait]) && $this->family->traits[$trait] !== $value) {
                return sprintf(
                    'it is for %s %s, and this one has %s',
                    str_replace('_', ' ', $trait),
                    $value,
                    $this->family->traits[$trait],
                );
            }
        }
        $families = array_map($this->knowledge->familyName(...), $fit->families);

        return $families !== [] && ! in_array($this->family->code, $fit->families, true)
            ? 'it fits '.implode(', ', $families)
            : 'it fits '.implode(
                ', ',
                array_map(fn (string $code): string => $this->family->positions[$code]->name ?? $code, $fit->positions),
            );
    }
}
