<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

use OddBench\Proof\Prints\ProofPrint;

/**
 * A stage of a proof run, in the order they are done: what it is called, how long it takes, which proofs it shows, what it
 * prints, what somebody is asked and what it is evidence of when it fails (common practice).
 */
enum RunStage: string
{
    case Identify = 'identify';
    case Smoke = 'smoke';
    case Homing = 'homing';
    case Travel = 'travel';
    case HotendHold = 'hotend-hold';
    case BedHold = 'bed-hold';
    case RunawayHotend = 'runaway-hotend';
    case RunawayBed = 'runaway-bed';
    case HeatMoving = 'heat-moving';
    case FreeAir = 'free-air';
    case FirstLayer = 'first-layer';
    case Print = 'print';
    case Slots = 'slots';
    case SlotPrints = 'slot-prints';
    case Materials = 'materials';
    case Long = 'long';

    /** The stage’s name on the ladder. */
    public function words(): string
    {
        return match ($this) {
            self::Identify => 'Connect, room temperature',
            self::Smoke => 'No smoke, fans turn',
            self::Homing => 'Home on the switches',
            self::Travel => 'Full travel, no step lost',
            self::HotendHold => 'Hot end heats and holds',
            self::BedHold => 'Bed heats and holds',
            self::RunawayHotend => 'Runaway test, hot end',
            self::RunawayBed => 'Runaway test, bed',
            self::HeatMoving => 'Heat while it moves',
            self::FreeAir => 'Extrude in free air',
            self::FirstLayer => 'First layer, five patches',
            self::Print => 'Small print from storage',
            self::Slots => 'Every feeder slot',
            self::SlotPrints => 'A ring from each slot',
            self::Materials => 'Several materials',
            self::Long => 'A long print, three hours',
        };
    }

    /** About how long it takes with somebody beside it, s (from memory of the trade’s times, and the long print’s own). */
    public function aboutS(): float
    {
        return match ($this) {
            self::Identify => 8.0,
            self::Smoke, self::Slots => 60.0,
            self::Homing => 25.0,
            self::Travel => 45.0,
            self::HotendHold => 280.0,
            self::BedHold, self::HeatMoving => 420.0,
            self::RunawayHotend => 240.0,
            self::RunawayBed => 480.0,
            self::FreeAir => 150.0,
            self::FirstLayer => 780.0,
            self::Print => 520.0,
            self::SlotPrints => 900.0,
            self::Materials => 600.0,
            self::Long => 11_400.0,
        };
    }

    /** Every machine owes these, whatever was mended (common practice). */
    public function isAlwaysOwed(): bool
    {
        return in_array($this, [self::Identify, self::Smoke, self::Homing, self::HotendHold, self::RunawayHotend], true);
    }

    /** @return list<string> codes of the proofs it shows */
    public function proofs(): array
    {
        return match ($this) {
            self::Smoke => ['power-on', 'fans-turn'],
            self::Homing => ['home'],
            self::Travel => ['full-travel'],
            self::HotendHold => ['hotend-hold'],
            self::BedHold => ['bed-hold'],
            self::RunawayHotend => ['runaway-hotend'],
            self::RunawayBed => ['runaway-bed'],
            self::HeatMoving => ['heat-moving'],
            self::FirstLayer => ['first-layer'],
            self::Print => ['small-print'],
            self::Slots => ['feeder-slots'],
            self::SlotPrints => ['feeder-print'],
            self::Materials => ['materials-print'],
            self::Long => ['long-print'],
            self::Identify, self::FreeAir => [],
        };
    }

    /** What it prints from the printer’s storage; nothing where it prints nothing. */
    public function print(): ?ProofPrint
    {
        return match ($this) {
            self::FirstLayer => ProofPrint::FirstLayer,
            self::Print => ProofPrint::Ring,
            self::Slots => ProofPrint::Slots,
            self::SlotPrints => ProofPrint::SlotRings,
            self::Materials => ProofPrint::Materials,
            self::Long => ProofPrint::Long,
            default => null,
        };
    }

    /** What whoever looks at the print is asked; nothing where nobody is. */
    public function asks(): ?string
    {
        return match ($this) {
            self::FirstLayer => 'Look at the layer: do the lines touch everywhere, and is nothing scraped?',
            self::Print => 'Look at the print: walls closed, no step, no gap?',
            self::SlotPrints => 'Look at the rings: one from each slot, walls closed?',
            self::Materials => 'Look at the print: every band in its material, none missing?',
            self::Long => 'Look at the long print: the same from bottom to top?',
            default => null,
        };
    }

    /** Code of the finding a print that is not good is evidence of; nothing where no print is looked at. */
    public function failsAs(): ?string
    {
        return match ($this) {
            self::FirstLayer => 'first-layer-uneven',
            self::Print => 'gaps-in-fill',
            self::SlotPrints => 'slot-spins-nothing',
            self::Materials => 'slot-alarm',
            self::Long => 'fails-after-hours',
            default => null,
        };
    }

    /** The stage that shows a proof; nothing when a run cannot show it. */
    public static function showing(string $proof): ?self
    {
        foreach (self::cases() as $stage) {
            if (in_array($proof, $stage->proofs(), true)) {
                return $stage;
            }
        }

        return null;
    }
}
