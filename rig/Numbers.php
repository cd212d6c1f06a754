<?php

declare(strict_types=1);

namespace OddBench\Rig;

/** The numbers of a simulated machine, from the traits of its family (typical values of the trade, from memory). */
final readonly class Numbers
{
    /**
     * @param  array{float, float, float}  $sizeMm
     * @param  int  $slots  of its feeder; 1 without one
     * @param  bool  $delta  round bed, counted from its middle; switches at the tops of three towers
     * @param  bool  $probed  Z is found by a probe
     * @param  int  $hours  it says it has run
     * @param  bool  $guards  its firmware turns the heaters off when it hears nothing for as long as M86 says
     */
    public function __construct(
        public string $family,
        public array $sizeMm,
        public float $hotendW,
        public float $bedW,
        public float $bedHeatJPerK,
        public float $ambientC,
        public int $slots,
        public float $mostFlowMm3PerS,
        public bool $delta = false,
        public bool $probed = false,
        public bool $guards = false,
        public int $hours = 1340,
    ) {
    }

    /**
     * @param  array<string, string>  $traits
     * @param  array{float, float, float}|null  $sizeMm
     */
    public static function of(string $family, array $traits, float $ambientC = 22.0, ?array $sizeMm = null): self
    {
        $large = ($traits['motion'] ?? '') === 'corexy' || ($traits['bed_supply'] ?? '') === 'mains';

        return new self(
            family: $family,
            sizeMm: $sizeMm
                ?? ($large ? [256.0, 256.0, 256.0] : (($traits['motion'] ?? '') === 'cantilever' ? [180.0, 180.0, 180.0] : [220.0, 220.0, 250.0])),
            hotendW: ($traits['hotend'] ?? '') === 'all-metal' ? 50.0 : 40.0,
            bedW: ($traits['bed_supply'] ?? '') === 'mains' ? 600.0 : 220.0,
            bedHeatJPerK: $large ? 900.0 : 500.0,
            ambientC: ($traits['chamber'] ?? '') === 'heated' ? $ambientC + 4 : $ambientC,
            slots: ($traits['feeder'] ?? '') === 'multi' ? 4 : 1,
            mostFlowMm3PerS: ($traits['filament_path'] ?? '') === 'direct' ? 14.0 : 11.0,
            delta: ($traits['motion'] ?? '') === 'delta',
            probed: in_array($traits['levelling'] ?? '', ['probe', 'nozzle-probe'], true),
            guards: in_array($traits['chamber'] ?? '', ['enclosed', 'heated'], true),
        );
    }
}
