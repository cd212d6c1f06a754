<?php

declare(strict_types=1);

namespace App\Proof\Console;

use App\Proof\StageProofs;
use Illuminate\Console\Command;
use OddBench\Knowledge\Knowledge;
use OddBench\Rig\Fault;
use OddBench\Rig\GoesOn;
use OddBench\Rig\Hostile;
use OddBench\Rig\Numbers;
use OddBench\Rig\Printer;
use OddBench\Rig\Server;
use RuntimeException;

/** Starts a simulated printer on a port. */
final class RigCommand extends Command
{
    protected $signature = 'odd-bench:rig {--family=tern-220} {--fault=* : what is wrong with it, hidden from who connects} {--port=8641} {--host=127.0.0.1 : other machines reach it only when you name another address} {--speed=1 : simulated seconds for each real one} {--seed=1} {--for= : stop after so many real seconds} {--hostile= : how it goes wrong once it is told to heat: silent, closes, storm, huge, busy or deaf} {--goes-on= : what its heater does once it is told to be off: stays, bed-stays, leaks, creeps or returns} {--air= : hold cool air to the running one on that port: hotend, bed or off}';

    protected $description = 'A simulated printer on a TCP port';

    public function handle(Knowledge $knowledge): int
    {
        if ($this->option('air') !== null) {
            return $this->air((string) $this->option('air'));
        }
        /** @var list<string> $given */
        $given = (array) $this->option('fault');
        $faults = array_map(Fault::tryFrom(...), $given);
        $unknown = array_keys(array_filter($faults, static fn (?Fault $fault): bool => $fault === null));
        if ($unknown !== []) {
            $this->error("There is no fault “{$given[$unknown[0]]}”. Known: ".implode(
                ', ',
                array_map(static fn (Fault $fault): string => $fault->value, Fault::cases()),
            ).'.');

            return self::INVALID;
        }
        $hostile = $this->option('hostile') === null ? null : Hostile::tryFrom((string) $this->option('hostile'));
        if ($this->option('hostile') !== null && $hostile === null) {
            $this->error('hostile is one of '.implode(', ', array_map(static fn (Hostile $h): string => $h->value, Hostile::cases())).'.');

            return self::INVALID;
        }
        $goesOn = $this->option('goes-on') === null ? null : GoesOn::tryFrom((string) $this->option('goes-on'));
        if ($this->option('goes-on') !== null && $goesOn === null) {
            $this->error('goes-on is one of '.implode(', ', array_column(GoesOn::cases(), 'value')).'.');

            return self::INVALID;
        }
        $family = $knowledge->families[(string) $this->option('family')] ?? null;
        if ($family === null || $family->isUnknown()) {
            $this->error('There is no such family. Known: '.implode(', ', array_keys($knowledge->families)).'.');

            return self::INVALID;
        }
        $speed = max(0.1, min(1000.0, (float) $this->option('speed')));
        try {
            $bed = StageProofs::plan([], $family, null)->bed;
            $server = new Server(
                new Printer(
                    Numbers::of($family->name, $family->traits, sizeMm: [$bed->xMm, $bed->yMm, $bed->zMm]),
                    array_values(array_filter($faults)),
                    (int) $this->option('seed'),
                    $goesOn,
                ),
                (string) $this->option('host'),
                (int) $this->option('port'),
                $speed,
                $hostile,
            );
        } catch (RuntimeException $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $this->line("A {$family->name} listens on {$this->option('host')}:{$server->port()}.");
        $until = $this->option('for') === null ? INF : microtime(true) + (float) $this->option('for');
        while (microtime(true) < $until) {
            $server->serve();
        }

        return self::SUCCESS;
    }

    /** What a person would do with a hand fan. */
    private function air(string $where): int
    {
        $socket = @stream_socket_client("tcp://{$this->option('host')}:{$this->option('port')}", $code, $message, 3);
        if ($socket === false || ! in_array($where, ['hotend', 'bed', 'off'], true)) {
            $this->error(
                $socket === false ? "No simulated printer on port {$this->option('port')}: {$message}" : 'Say hotend, bed or off.',
            );

            return self::FAILURE;
        }
        fwrite($socket, "@air {$where}\n");
        fclose($socket);

        return self::SUCCESS;
    }
}
