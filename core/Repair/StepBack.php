<?php

declare(strict_types=1);

namespace OddBench\Repair;

/** A step that was put back: what went in, what was plugged, what became of the parts. */
final readonly class StepBack
{
    public const PARTS = ['back', 'new', 'written-off'];

    /**
     * @param  array<string, int>  $fasteners  size => count that went in
     * @param  list<string>  $connectors  sockets plugged in again
     * @param  array<string, 'back'|'new'|'written-off'>  $parts  part => what became of it
     * @param  bool  $finished  false after the first pass of two
     */
    public function __construct(
        public string $id,
        public array $fasteners,
        public array $connectors,
        public array $parts,
        public bool $finished = true,
    ) {
    }

    /** Everything as it came out. */
    public static function asItCameOut(TeardownStep $step, bool $finished = true): self
    {
        $fasteners = [];
        foreach ($step->fasteners as $out) {
            $fasteners[$out->size->name] = $out->count;
        }

        return new self($step->id, $fasteners, $step->connectors, array_fill_keys($step->parts, 'back'), $finished);
    }
}
