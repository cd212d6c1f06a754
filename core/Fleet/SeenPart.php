<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** A part that runs or ran in a machine here: what it is, among what it runs, and its hours. */
final readonly class SeenPart
{
    /**
     * @param  string  $class  of part
     * @param  string  $position  code
     * @param  string  $circumstance  what its machine prints and in what heat, as Circumstance names it
     * @param  bool  $watched  nobody can have changed it without writing it down here
     * @param  string|null  $endedOn  day it was taken out, YYYY-MM-DD; nothing while it sits there
     */
    public function __construct(
        public string $class,
        public string $family,
        public string $position,
        public string $circumstance,
        public Seated $seated,
        public ?string $endedOn = null,
        public bool $watched = true,
    ) {
    }

    /**
     * Whether what sits in a machine is known to be what was noted: an owner changes at home what is changed in minutes for little
     * money, and what runs there now may be anything.
     *
     * @param  bool  $consumable  changed in minutes for little money
     * @param  bool  $ended  it was taken out here
     */
    public static function isWatched(bool $atOwner, bool $consumable, bool $ended, bool $original): bool
    {
        return ! $atOwner || ! $consumable || ($ended && ! $original);
    }

    /** Its life for the reckoning, or why it does not count. */
    public function life(): Life|NotCounted
    {
        return $this->watched ? $this->seated->life() : NotCounted::Unwatched;
    }

    /** Hours of life it has; nothing when that cannot be told. */
    public function age(): ?float
    {
        return $this->watched ? $this->seated->age() : null;
    }

    /** Which part it is; nothing for what came with the machine. */
    public function make(): ?string
    {
        return $this->seated->make;
    }
}
