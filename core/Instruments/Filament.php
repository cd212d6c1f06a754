<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * Filament by length, mass, volume and cost; by its roundness; by the water it lost; or how to dry it. What is given
 * decides which. Drying figures and limits are common practice; the maker’s sheet goes first.
 */
final readonly class Filament implements Computation
{
    /** material => °C from, to, hours from, to. */
    private const DRYING = [
        'PLA' => [45, 50, 6, 6], 'PETG' => [65, 65, 6, 6], 'ABS' => [75, 80, 4, 6], 'ASA' => [75, 80, 4, 6],
        'TPU' => [50, 55, 6, 6], 'PA' => [75, 80, 8, 12], 'PC' => [80, 85, 8, 8],
    ];

    /** Difference of the widest and the narrowest across one place. */
    private const OVAL_OK_MM = 0.03;

    private const OVAL_OUT_MM = 0.06;

    private const AREA_OK_PCT = 3.0;

    private const AREA_OUT_PCT = 5.0;

    /** Water lost, of the dry mass. */
    private const WET_PCT = 0.2;

    public function name(): string
    {
        return 'filament';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $result = match (true) {
            $fields->has('diameters_mm') => $this->roundness($fields),
            $fields->has('mass_before_g') || $fields->has('mass_after_g') => $this->water($fields),
            $fields->has('material') => $this->drying($fields),
            default => $this->amounts($fields),
        };
        $fields->done();

        return $result;
    }

    /** @return array<string, mixed> */
    private function amounts(Fields $fields): array
    {
        $density = $fields->number('density_g_cm3', ...Quantity::FilamentDensity->bounds());
        $diameter = $fields->number('diameter_mm', ...Quantity::FilamentDiameter->bounds());
        $given = array_values(array_filter(['length_m', 'mass_g', 'volume_cm3'], $fields->has(...)));
        if (count($given) !== 1) {
            throw InputError::at('length_m', 'Give exactly one of length_m, mass_g and volume_cm3; the others follow.');
        }
        $amount = match ($given[0]) {
            'length_m' => FilamentAmount::ofLength($fields->number('length_m', ...Quantity::FilamentLength->bounds()), $density, $diameter),
            'mass_g' => FilamentAmount::ofMass($fields->number('mass_g', ...Quantity::FilamentMass->bounds()), $density, $diameter),
            default => FilamentAmount::ofVolume($fields->number('volume_cm3', ...Quantity::FilamentVolume->bounds()), $density, $diameter),
        };
        $price = $fields->numberOrNull('price_per_kg', ...Quantity::PricePerKg->bounds());

        return [
            'length_m' => $amount->lengthM,
            'mass_g' => $amount->massG,
            'volume_cm3' => $amount->volumeCm3,
        ] + ($price === null ? [] : ['cost' => $amount->cost($price)]);
    }

    /** @return array<string, mixed> */
    private function roundness(Fields $fields): array
    {
        $pairs = $fields->pairs('diameters_mm', ...Quantity::MeasuredDiameter->bounds());
        $nominal = $fields->numberOrNull('diameter_mm', ...Quantity::FilamentDiameter->bounds());
        $all = array_merge(...$pairs);
        $mean = array_sum($all) / count($all);
        $nominal ??= abs($mean - 2.85) < abs($mean - 1.75) ? 2.85 : 1.75;
        $ovality = max(array_map(static fn (array $p): float => abs($p[0] - $p[1]), $pairs));
        // the cross-section of an oval is π·a·b/4
        $areas = array_map(static fn (array $p): float => 100 * ($p[0] * $p[1] / $nominal ** 2 - 1), $pairs);
        $worst = max(array_map(abs(...), $areas));

        return [
            'mean_mm' => $mean,
            'nominal_mm' => $nominal,
            'ovality_mm' => $ovality,
            'area_error_pct' => array_sum($areas) / count($areas),
            'worst_area_error_pct' => $worst,
            'verdict' => $ovality > self::OVAL_OUT_MM || $worst > self::AREA_OUT_PCT
                ? 'out'
                : ($ovality > self::OVAL_OK_MM || $worst > self::AREA_OK_PCT ? 'watch' : 'ok'),
            'because' => sprintf(
                '%s mm oval, cross-section up to %s %% off %s mm filament.',
                Said::figure($ovality),
                Said::figure($worst),
                Said::figure($nominal),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function water(Fields $fields): array
    {
        $before = $fields->number('mass_before_g', ...Quantity::SpoolMass->bounds());
        $after = $fields->number('mass_after_g', ...Quantity::SpoolMass->bounds());
        if ($after > $before) {
            throw InputError::at('mass_after_g', 'It got heavier by drying: weigh again, with the same spool and the scale at zero.');
        }
        $lost = 100 * ($before - $after) / $after;

        return [
            'water_lost_g' => $before - $after,
            'water_lost_pct' => $lost,
            'verdict' => $lost > self::WET_PCT ? 'out' : 'ok',
            'because' => sprintf(
                '%s g of water left it, %s %% of its dry mass; over 0.2 %% it was wet.',
                Said::figure($before - $after),
                Said::figure($lost),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function drying(Fields $fields): array
    {
        $material = strtoupper($fields->text('material'));
        [$from, $to, $least, $most] = self::DRYING[$material] ?? throw InputError::unknown(
            'material',
            'drying plan',
            $material,
            array_keys(self::DRYING),
        );

        return [
            'material' => $material,
            'temperature_c' => [$from, $to],
            'hours' => [$least, $most],
            'because' => self::howToDry($material),
        ];
    }

    /** How a material is dried to begin with, in words; nothing where none is known. */
    public static function howToDry(string $material): ?string
    {
        $material = strtoupper($material);
        if (! isset(self::DRYING[$material])) {
            return null;
        }
        [$from, $to, $least, $most] = self::DRYING[$material];

        return sprintf(
            '%s: %s °C for %s hours to begin with. The maker’s sheet goes first; a kitchen oven overshoots.',
            $material,
            $from === $to ? (string) $from : "{$from} to {$to}",
            $least === $most ? (string) $least : "{$least} to {$most}",
        );
    }
}
