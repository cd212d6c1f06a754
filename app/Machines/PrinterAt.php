<?php

declare(strict_types=1);

namespace App\Machines;

use App\Shop\Person;
use Illuminate\Support\Facades\Config;
use OddBench\Input\InputError;
use OddBench\Machines\PrinterAddress;

/** The one place that says where a printer is reached, and whether it may be. */
final readonly class PrinterAt
{
    public function __construct(private KeepsHistory $history)
    {
    }

    /**
     * @return string the number of the host, with the port: as the runner reaches it, so that two names of one printer give the same
     *
     * @throws InputError at host
     */
    public function address(string $host, int $port): string
    {
        if (preg_match('/^[A-Za-z0-9](?:[A-Za-z0-9.-]{0,118})$|^\[[0-9a-fA-F:]+\]$/', $host) !== 1) {
            throw InputError::at('host', 'Give the name or address of the printer or its bridge, without a port.');
        }
        $ip = str_starts_with($host, '[') ? trim($host, '[]') : gethostbyname($host);
        if (filter_var($ip, FILTER_VALIDATE_IP) === false) {
            throw InputError::at('host', "There is no “{$host}” on this network. Try its number, such as 192.168.1.40.");
        }
        PrinterAddress::judge($ip, $port, $this->own(), $this->simulated());
        $ip = str_starts_with($ip, '127.') || in_array($ip, ['::1', '0.0.0.0'], true) ? '127.0.0.1' : strtolower($ip);

        return str_contains($ip, ':') ? "[{$ip}]:{$port}" : "{$ip}:{$port}";
    }

    /**
     * A bridge that stands at the bench goes from machine to machine: it is at this one now.
     *
     * @throws InputError at moved, unless somebody says so
     */
    public function claim(Machine $machine, string $host, int $port, bool $moved, Person $by): void
    {
        foreach ($this->others($machine, $host, $port) as $other) {
            if (! $moved) {
                throw InputError::at(
                    'moved',
                    "The printer at this address was {$other->tag} until now. "
                        ."Look at the cable, then say that it is at {$machine->tag} now.",
                );
            }
            $other->update(['printer_host' => null, 'printer_port' => null]);
            $this->history->note($other, $by, 'edited', "Its printer’s address went over to {$machine->tag}");
        }
    }

    /** @throws InputError at port, when another machine is there */
    public function refuseAnothers(Machine $machine, string $host, int $port): void
    {
        foreach ($this->others($machine, $host, $port) as $other) {
            throw InputError::at('port', "The printer at this address is {$other->tag}. Take the address away there first, when it moved.");
        }
    }

    /** @return list<Machine> */
    private function others(Machine $machine, string $host, int $port): array
    {
        $address = $this->address($host, $port);
        $others = [];
        foreach (Machine::query()->where('printer_port', $port)->whereNotNull('printer_host')->whereKeyNot($machine->id)->get() as $other) {
            if ($other->printer_host === $host
                || rescue(fn (): string => $this->address((string) $other->printer_host, $port), '', report: false) === $address) {
                $others[] = $other;
            }
        }

        return $others;
    }

    /** @return list<string> */
    private function own(): array
    {
        return array_values(array_filter(array_map(
            static fn (array $of): string => (string) ($of['address'] ?? ''),
            array_merge(...array_values(array_map(
                static fn (array $interface): array => $interface['unicast'] ?? [],
                net_get_interfaces() ?: [],
            ))),
        )));
    }

    /** @return list<int>|null */
    private function simulated(): ?array
    {
        if (Config::boolean('odd-bench.real')) {
            return [];
        }

        return Config::string('odd-bench.loopback_printers') === 'any' ? null : array_values(array_filter(
            Config::array('odd-bench.rig_ports'),
            is_int(...),
        ));
    }
}
