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

    private function ask(string $address): string
    {
        $socket = @stream_socket_client("tcp://{$address}", $code, $message, self::CONNECT_S);
        if ($socket === false) {
            return '';
        }
        stream_set_blocking($socket, false);
        $said = '';
        $end = microtime(true) + self::LISTEN_S;
        @fwrite($socket, PrinterCounter::ASKS."\n");
        while (microtime(true) < $end && strlen($said) < self::MOST_BYTES && ! feof($socket)) {
            $read = [$socket];
            $write = $except = null;
            if (@stream_select($read, $write, $except, 0, 200_000) === 1) {
                $said .= (string) fread($socket, 4096);
            }
            if (PrinterCounter::read($said) !== null && str_contains($said, "ok\n")) {
                break;
            }
        }
        fclose($socket);

        return $said;
    }
}
