<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

use OddBench\Input\InputError;

/** What kind of machine it is. A trait that is not known rules nothing out. */
final readonly class Traits
{
    /** Every trait and its values. */
    public const KNOWN = [
        'motion' => ['bedslinger', 'corexy', 'delta', 'cantilever', 'gantry'],
        'guides' => ['wheels', 'rods', 'rails'],
        'filament_path' => ['bowden', 'direct'],
        'hotend' => ['lined', 'all-metal'],
        'nozzle_mount' => ['screwed', 'one-piece'],
        'bed_mount' => ['springs', 'solid'],
        'bed_supply' => ['12 V', '24 V', 'mains'],
        'bed_surface' => ['fixed', 'removable'],
        'z_drive' => ['screw', 'belt'],
        'levelling' => ['manual', 'probe', 'nozzle-probe'],
        'feeder' => ['none', 'multi'],
        'chamber' => ['open', 'enclosed', 'heated'],
        'extruder_gears' => ['metal', 'plastic'],
        'material_supply' => ['open-spool', 'sealed-canister'],
    ];

    /** @param  array<string, string>  $values */
    private function __construct(public array $values)
    {
    }

    /**
     * @param  array<string, mixed>  $values
     *
     * @throws InputError for a trait or a value nobody knows
     */
    public static function of(array $values, string $path = 'traits'): self
    {
        $checked = [];
        foreach ($values as $trait => $value) {
            $choices = self::KNOWN[$trait] ?? throw InputError::unknown("{$path}.{$trait}", 'trait', $trait, array_keys(self::KNOWN));
            if (! is_string($value) || ! in_array($value, $choices, true)) {
                $given = is_scalar($value) ? (string) $value : gettype($value);
                throw InputError::at("{$path}.{$trait}", "{$path}.{$trait} must be one of ".implode(', ', $choices).", not “{$given}”.");
            }
            $checked[$trait] = $value;
        }

        return new self($checked);
    }

    /** @param  array<string, list<string>>  $needs trait => values, all of which must be met */
    public function allow(array $needs): bool
    {
        foreach ($needs as $trait => $values) {
            if (isset($this->values[$trait]) && ! in_array($this->values[$trait], $values, true)) {
                return false;
            }
        }

        return true;
    }
}
