<?php

declare(strict_types=1);

namespace OddBench\Rig;

/** What can be wrong with the simulated printer, hidden from whoever talks to it. */
enum Fault: string
{
    case ThermistorOpen = 'thermistor-open';
    case ThermistorShort = 'thermistor-short';
    case ThermistorDrifting = 'thermistor-drifting';
    case ThermistorLoose = 'thermistor-loose';
    case HeaterWeak = 'heater-weak';
    case HeaterOpen = 'heater-open';
    case BedContact = 'bed-contact';
    case BreakFanDead = 'break-fan-dead';
    case PartClog = 'part-clog';
    case CarriageBlocked = 'carriage-blocked';
    case BeltSlack = 'belt-slack';
    case NoRunawayProtection = 'no-runaway-protection';
    case BedWireBroken = 'bed-wire-broken';
    case SlotJammed = 'slot-jammed';
    case SupplySags = 'supply-sags';
}
