<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** Parts whose lives are reckoned together: a class, and of it one make, one family or one circumstance. */
final readonly class LifeGroup
{
    private function __construct(
        public string $class,
        public ?string $make = null,
        public ?string $family = null,
        public ?string $circumstance = null,
    ) {
    }

    public static function of(string $class, ?string $make = null, ?string $family = null, ?string $circumstance = null): self
    {
        return new self($class, $make, $family, $circumstance);
    }

    /**
     * Those a part belongs to: which make it is, in which family it runs, what its machine prints, and all of its class.
     *
     * @return non-empty-list<self>
     */
    public static function allOf(SeenPart $part): array
    {
        return [
            ...($part->make() === null ? [] : [new self($part->class, make: $part->make())]),
            new self($part->class, family: $part->family),
            new self($part->class, circumstance: $part->circumstance),
            new self($part->class),
        ];
    }

    /** The whole class: the group the others are held against. */
    public function all(): self
    {
        return new self($this->class);
    }

    public function isAll(): bool
    {
        return $this->make === null && $this->family === null && $this->circumstance === null;
    }

    public function key(): string
    {
        return implode('|', [$this->class, $this->make, $this->family, $this->circumstance]);
    }
}
