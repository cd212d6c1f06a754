<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\Refused;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Machines\PrinterCounter;

/** Reads the counter of a machine from its printer: one question that moves and heats nothing. */
final readonly class AskPrinter
{
    private const CONNECT_S = 3.0;

    private const LISTEN_S = 4.0;

    private const MOST_BYTES = 16_384;

    /** A printer that is at work says something within this long; then it is left alone. */
    private const HUSH_S = 2.0;

    /** @param  iterable<KeepsPrinter>  $rooms */
    public function __construct(private PrinterAt $printers, private NoteHours $hours, private iterable $rooms)
    {
    }

    /**
     * @throws Refused where somebody else speaks with it, or it must stay unplugged
     * @throws InputError when it has no address, is not reached or does not tell
     */
    public function counter(Machine $machine, Person $by): Counter
    {
        if ($machine->printer_host === null || $machine->printer_port === null) {
            throw InputError::at('printer', 'Where its printer is reached is not known. Write it down under Edit.');
        }
        foreach ($this->rooms as $room) {
            $reason = $room->reasonNotToAsk($machine);
            if ($reason !== null) {
                throw Refused::because('printer', $reason);
            }
        }
        $hours = PrinterCounter::read($this->ask($this->printers->address($machine->printer_host, $machine->printer_port)));
        // whatever else answers there is nobody's business
        if ($hours === null) {
            throw InputError::at('printer', 'The printer was not reached, or did not tell its hours. Type what its counter shows.');
        }

        return $this->hours->note($machine, $hours, CounterSource::Printer, $by);
    }

    /**
     * The same by itself, once an hour: it listens first, and where the printer is at work it says nothing.
     *
     * @return float|null hours; nothing when it was at work, kept by a room, not reached or did not tell
     */
    public function ifIdle(Machine $machine): ?float
    {
        if ($machine->printer_host === null || $machine->printer_port === null) {
            return null;
        }
        foreach ($this->rooms as $room) {
            if ($room->reasonNotToAsk($machine) !== null) {
                return null;
            }
        }

        return PrinterCounter::read($this->ask($this->printers->address($machine->printer_host, $machine->printer_port), true));
    }

    /** @param  bool  $onlyIdle  one that speaks of work unasked is asked nothing */
    private function ask(string $address, bool $onlyIdle = false): string
    {
        $socket = @stream_socket_client("tcp://{$address}", $code, $message, self::CONNECT_S);
        if ($socket === false) {
            return '';
        }
        stream_set_blocking($socket, false);
        if ($onlyIdle && PrinterCounter::atWork($this->listen($socket, self::HUSH_S, PrinterCounter::atWork(...)))) {
            fclose($socket);

            return '';
        }
        @fwrite($socket, PrinterCounter::ASKS."\n");
        $said = $this->listen(
            $socket,
            self::LISTEN_S,
            static fn (string $said): bool => PrinterCounter::read($said) !== null && str_contains($said, "ok\n"),
        );
        fclose($socket);

        return $said;
    }

    /**
     * @param  resource  $socket
     * @param  callable(string): bool  $enough
     */
    private function listen($socket, float $seconds, callable $enough): string
    {
        $said = '';
        $end = microtime(true) + $seconds;
        while (microtime(true) < $end && strlen($said) < self::MOST_BYTES && ! feof($socket) && ! $enough($said)) {
            $read = [$socket];
            $write = $except = null;
            if (@stream_select($read, $write, $except, 0, 200_000) === 1) {
                $said .= (string) fread($socket, 4096);
            }
        }

        return $said;
    }
}
