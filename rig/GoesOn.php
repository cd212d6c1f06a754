<?php

declare(strict_types=1);

namespace OddBench\Rig;

/** What a heater does once its board has told it to be off: the switch on a board that was just repaired, or somebody at its screen. */
enum GoesOn: string
{
    /** Its switch is welded half through: it stays as hot as it was. */
    case Stays = 'stays';
    /** The same, of the bed. */
    case BedStays = 'bed-stays';
    /** Its switch leaks: it climbs by 0.4 °C a second. */
    case Creeps = 'creeps';
    /** It leaks so much that it cools to half way down, and no further. */
    case Leaks = 'leaks';
    /** The firmware takes up the target again some seconds later, and says so. */
    case Returns = 'returns';

    public const CREEPS_C_PER_S = 0.4;

    /** share of full power */
    public const LEAKS = 0.2;

    public const RETURNS_AFTER_S = 6.0;

    public function isBed(): bool
    {
        return $this === self::BedStays;
    }
}
