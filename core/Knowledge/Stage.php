<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** The order in which a repair is proved; each stage opens only when the one before has passed (common practice). */
enum Stage: string
{
    case Cold = 'cold';
    case Power = 'power';
    case Motion = 'motion';
    case Heat = 'heat';
    case Runaway = 'runaway';
    case Print = 'print';
    case Feeder = 'feeder';
    case Materials = 'materials';
    case Long = 'long';

    /** The stage’s name on the ladder. */
    public function words(): string
    {
        return match ($this) {
            self::Cold => 'Cold and unplugged',
            self::Power => 'Power on, no smoke',
            self::Motion => 'Homing and travel',
            self::Heat => 'Heat and hold',
            self::Runaway => 'Runaway stops it',
            self::Print => 'A small print, one material',
            self::Feeder => 'The same through the feeder',
            self::Materials => 'Several materials',
            self::Long => 'A long or demanding print',
        };
    }

    /** Whether something is heated in it. */
    public function isHot(): bool
    {
        return ! in_array($this, [self::Cold, self::Power, self::Motion], true);
    }
}
