<?php

declare(strict_types=1);

namespace OddBench\Release;

/** How far through its life a wearing part is. */
final readonly class WornPosition
{
    /**
     * @param  string  $name  of the position
     * @param  float|null  $hours  it has run; nothing when nobody knows
     * @param  float|null  $life  its usual life in hours; nothing for what does not wear by hours
     * @param  bool  $consumable  changed in minutes for little money, as a nozzle is
     */
    public function __construct(public string $name, public ?float $hours, public ?float $life, public bool $consumable = false)
    {
    }

    /** @return float|null 0 (new) to above 1 (past its life) */
    public function share(): ?float
    {
        return $this->hours === null || $this->life === null || $this->life <= 0 ? null : $this->hours / $this->life;
    }
}
