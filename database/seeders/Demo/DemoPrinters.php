<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Machines\Machine;

/** The simulated printers that stand in for the demo shop's own: which family is behind which port. */
final class DemoPrinters
{
    private const FAMILIES = ['tern-220-d', 'heron-cx', 'wren-mini'];

    public static function port(string $family): ?int
    {
        $at = array_search($family, self::FAMILIES, true);
        $ports = config('odd-bench.rig_ports');

        return $at === false || ! is_array($ports) ? null : (int) $ports[$at];
    }

    /** Ports may have moved since the demo was played; machines follow them. */
    public static function point(): void
    {
        foreach (Machine::query()->where('printer_host', '127.0.0.1')->whereIn('family', self::FAMILIES)->get() as $machine) {
            $machine->update(['printer_port' => self::port($machine->family)]);
        }
    }
}
