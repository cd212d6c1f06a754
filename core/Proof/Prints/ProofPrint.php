<?php

declare(strict_types=1);

namespace OddBench\Proof\Prints;

/**
 * The prints a machine proves itself with, small and cheap on purpose (common practice): what each one shows is one thing
 * more than the one before it.
 */
enum ProofPrint: string
{
    case Ring = 'ring';
    case FirstLayer = 'first-layer';
    case Slots = 'slots';
    case SlotRings = 'slot-rings';
    case Materials = 'materials';
    case Long = 'long';

    private const LONG_S = 3.05 * 3600;

    private const CORNERS = 24;

    /** As a person calls it. */
    public function words(): string
    {
        return match ($this) {
            self::Ring => 'A ring, one material',
            self::FirstLayer => 'One layer in the middle and at four corners',
            self::Slots => 'A strip from each slot, loaded and unloaded',
            self::SlotRings => 'A small ring from each slot',
            self::Materials => 'A ring with four changes of material',
            self::Long => 'Three hours round and round',
        };
    }

    /**
     * @param  float  $hotendC  150 to 300
     * @param  float  $bedC  0 to 130
     * @param  int  $slots  of the feeder; 1 without one
     * @param  bool  $waits  it waits for its heat by itself, for a printer that is not connected
     * @return list<string> G-code
     */
    public function lines(Bed $bed, float $hotendC, float $bedC, int $slots, bool $waits): array
    {
        $path = new Toolpath($hotendC, $bedC, $waits);
        match ($this) {
            self::Ring => self::ring($path, $bed->at(0, 0), 30.0, 4.0),
            self::FirstLayer => self::firstLayer($path, $bed),
            self::Slots => self::strips($path, $bed, $slots),
            self::SlotRings => self::slotRings($path, $bed, $slots),
            self::Materials => self::materials($path, $bed->at(0, 0), $slots),
            self::Long => self::long($path, $bed),
        };

        return $path->lines();
    }

    /** @param  array{float, float}  $middle */
    private static function ring(Toolpath $path, array $middle, float $acrossMm, float $heightMm): void
    {
        for ($layer = 1; $layer <= (int) round($heightMm / Toolpath::LAYER_MM); $layer++) {
            $path->circle($middle[0], $middle[1], $acrossMm, $layer * Toolpath::LAYER_MM, self::CORNERS);
        }
    }

    private static function firstLayer(Toolpath $path, Bed $bed): void
    {
        $half = 15.0;
        foreach ([[0, 0], [-1, -1], [1, -1], [1, 1], [-1, 1]] as [$right, $back]) {
            [$x, $y] = $bed->patch($right, $back, $half);
            $path->to($x - $half, $y - $half, Toolpath::LAYER_MM);
            for ($i = 0; $i <= (int) (2 * $half / Toolpath::LINE_MM); $i++) {
                $at = $y - $half + $i * Toolpath::LINE_MM;
                $path->lay($x + ($i % 2 === 0 ? $half : -$half), $at, 1200.0);
                $path->lay($x + ($i % 2 === 0 ? $half : -$half), $at + Toolpath::LINE_MM, 1200.0);
            }
        }
    }

    private static function strips(Toolpath $path, Bed $bed, int $slots): void
    {
        for ($slot = 0; $slot < $slots; $slot++) {
            $path->slot($slot);
            for ($line = 0; $line < 4; $line++) {
                $back = -0.6 + $slot * 0.35 + $line * 0.01;
                [$left, $y] = $bed->at(-0.6, $back);
                [$right] = $bed->at(0.6, $back);
                $path->to($line % 2 === 0 ? $left : $right, $y, Toolpath::LAYER_MM)->lay($line % 2 === 0 ? $right : $left, $y, 1200.0);
            }
        }
        $path->slot(0);
    }

    private static function slotRings(Toolpath $path, Bed $bed, int $slots): void
    {
        for ($slot = 0; $slot < $slots; $slot++) {
            $path->slot($slot);
            self::ring($path, $bed->at($slots === 1 ? 0.0 : -0.6 + 1.2 * $slot / ($slots - 1), 0), 20.0, 2.0);
        }
    }

    /**
     * Four changes at the least, so that the first slot is loaded again.
     *
     * @param  array{float, float}  $middle
     */
    private static function materials(Toolpath $path, array $middle, int $slots): void
    {
        $z = 0.0;
        for ($band = 0; $band <= max(4, $slots); $band++) {
            $path->slot($band % max(1, $slots));
            for ($layer = 0; $layer < 3; $layer++) {
                $path->circle($middle[0], $middle[1], 30.0, $z += Toolpath::LAYER_MM, self::CORNERS);
            }
        }
    }

    /** As slow as three hours ask for, and never faster than 20 mm/s, so that heat has time to climb. */
    private static function long(Toolpath $path, Bed $bed): void
    {
        $corners = 16;
        $around = $corners * $bed->ringMm() * sin(M_PI / $corners);
        $layers = (int) min(floor(0.8 * $bed->zMm / Toolpath::LAYER_MM), ceil(self::LONG_S * 20.0 / $around));
        $feed = 60 * $layers * $around / self::LONG_S;
        [$x, $y] = $bed->at(0, 0);
        for ($layer = 1; $layer <= $layers; $layer++) {
            $path->circle($x, $y, $bed->ringMm(), $layer * Toolpath::LAYER_MM, $corners, $feed);
        }
    }
}
