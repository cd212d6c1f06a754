<?php

declare(strict_types=1);

namespace OddBench\Intake;

/** The six stations a job walks. */
enum Station: string
{
    case Intake = 'intake';
    case Safety = 'safety';
    case Diagnosis = 'diagnosis';
    case Repair = 'repair';
    case Proof = 'proof';
    case Release = 'release';

    /** The station’s name on the ruler. */
    public function words(): string
    {
        return match ($this) {
            self::Intake => 'Book in',
            self::Safety => 'Make safe',
            self::Diagnosis => 'Find',
            self::Repair => 'Fix',
            self::Proof => 'Prove',
            self::Release => 'Send out',
        };
    }

    /** Its place on the walk, 0 for the first. */
    public function place(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    /** Whether it stands later on the walk. */
    public function comesAfter(self $other): bool
    {
        return $this->place() > $other->place();
    }
}
