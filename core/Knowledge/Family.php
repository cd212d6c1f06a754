<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** A machine model, with its traits and the positions of its wear parts. */
final readonly class Family
{
    /**
     * @param  string  $letters  the two letters its tags begin with
     * @param  array<string, string>  $traits  trait => value
     * @param  array<string, Position>  $positions  by code
     * @param  HeatFigures|null  $heat  null where it is not known: then nothing is heated by the application
     * @param  Build|null  $build  null where it is not known: then nothing is moved by it
     * @param  list<string>  $fasteners  sizes it usually has, e.g. “M3×12”
     * @param  array<string, string>  $sockets  name printed beside a socket of its board => subsystem behind it
     * @param  array<string, array{hours: float|null, months: float|null}>  $service  item => its own rhythm; nothing is the common one
     * @param  array<string, string>  $starts  instrument input => what its sheet starts with
     */
    public function __construct(
        public string $code,
        public string $name,
        public string $letters,
        public array $traits,
        public array $positions,
        public ?HeatFigures $heat,
        public ?Build $build,
        public array $starts = [],
        public array $fasteners = [],
        public array $sockets = [],
        public array $service = [],
    ) {
    }

    /** Somebody has seen a machine of it and nothing is written of it yet: it is found and mended by its traits alone. */
    public function isUnknown(): bool
    {
        return $this->build === null || $this->heat === null;
    }
}
