<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** One part that sits or sat in a position, with the machine’s hours at both ends. */
final readonly class Seated
{
    /**
     * @param  string|null  $make  which part it is; nothing for what came with the machine
     * @param  float|null  $from  the machine’s hours when it was fitted; nothing when nobody knows
     * @param  float|null  $until  the machine’s hours when it was taken out, or now; nothing when nobody knows
     * @param  LifeEnd|null  $end  nothing while it sits there
     * @param  float|null  $had  hours it had when it was fitted, 0 for a new one; nothing when nobody knows
     */
    public function __construct(
        public ?string $make,
        public ?float $from,
        public ?float $until,
        public ?LifeEnd $end,
        public ?float $had = 0.0,
    ) {
    }

    /** What came with the machine: as old as the machine, if that came new. */
    public static function original(?float $until, ?LifeEnd $end, bool $cameNew): self
    {
        return new self(null, 0.0, $until, $end, $cameNew ? 0.0 : null);
    }

    /** Hours of life it has; nothing when that cannot be told. */
    public function age(): ?float
    {
        return $this->from === null || $this->until === null || $this->had === null || $this->until < $this->from
            ? null
            : $this->had + $this->until - $this->from;
    }

    /** Its life for the reckoning, or why it does not count. */
    public function life(): Life|NotCounted
    {
        $age = $this->age();
        if ($age === null) {
            return match (true) {
                $this->from !== null && $this->until !== null && $this->until < $this->from => NotCounted::Backwards,
                $this->had === null => $this->make === null ? NotCounted::CameUsed : NotCounted::FittedUsed,
                default => NotCounted::HoursUnknown,
            };
        }
        $had = (float) $this->had;
        if ($age <= $had) {
            return NotCounted::NoHours;
        }

        return $this->end === LifeEnd::Failed ? Life::failed($age, $had) : Life::running($age, $had);
    }
}
