<?php

declare(strict_types=1);

namespace OddBench\Rig;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** A simulated printer: bytes in, bytes out, on a clock of its own that only moves when it is told to. */
final class Printer
{
    private const STEP = 0.1;

    private const BUSY_EVERY = 2.0;

    private float $now = 0.0;

    private string $out = "start\n";

    private Lines $lines;

    /** @var list<string> checked commands that wait for their turn */
    private array $waiting = [];

    private Machine $machine;

    private Storage $storage;

    private float $nextReport = INF;

    private float $reportEvery = 0.0;

    private float $busyFrom = 0.0;

    private string $owed = '';

    private float $heardAt = 0.0;

    /** s of silence after which it turns its heaters off */
    private float $guardsAfter = INF;

    public bool $halted = false;

    /** @param  list<Fault>  $faults */
    public function __construct(
        private readonly Numbers $numbers,
        private readonly array $faults = [],
        int $seed = 1,
        ?GoesOn $goesOn = null,
    ) {
        $this->machine = new Machine($numbers, $faults, new Randomizer(new Mt19937($seed)), $goesOn);
        $this->machine->step(0.0, 1e-6);
        $this->lines = new Lines;
        $this->storage = new Storage;
    }

    public function receive(string $bytes): void
    {
        $this->heardAt = $bytes === '' ? $this->heardAt : $this->now;
        foreach ($this->lines->take($bytes) as $line) {
            // those that must not wait are looked for before anything else is read
            if (preg_match('/^(?:N\d+\s*)?M112\b/i', $line) === 1) {
                $this->halt('M112 Shutdown');

                continue;
            }
            if (preg_match('/^(?:N\d+\s*)?M108\b/i', $line) === 1) {
                $this->machine->waitsFor = null;
            }
            [$command, $answer] = $this->lines->check($line);
            $this->out .= $answer;
            if ($command !== null) {
                $this->waiting[] = $command;
            }
        }
    }

    /** Lets time go by, to a moment on the printer’s own clock (s). */
    public function advance(float $to): void
    {
        while ($this->now < $to - 1e-9) {
            $this->serve();
            $dt = min(self::STEP, $to - $this->now);
            $this->now += $dt;
            $stop = $this->machine->step($this->now, $dt);
            if ($stop !== null && ! $this->halted) {
                $this->halt($stop);
            }
            if ($this->machine->restarts()) {
                $this->restart();
            }
            if ($this->now - $this->heardAt > $this->guardsAfter && ! $this->storage->printing) {
                $this->guardsAfter = INF;
                $this->machine->coolDown($this->now);
                $this->out .= "echo:Nothing heard, heaters off\n";
            }
            if ($this->now >= $this->nextReport) {
                $this->out .= $this->machine->temperatures()."\n";
                $this->nextReport += $this->reportEvery;
            }
        }
        $this->serve();
    }

    public function now(): float
    {
        return $this->now;
    }

    /** What it has said since it was asked last. */
    public function take(): string
    {
        $out = $this->out;
        $this->out = '';

        return $out;
    }

    /** Somebody holds cool air to the hot end (or takes it away). */
    public function coolAir(bool $on, string $at = 'hotend'): void
    {
        $this->machine->air = $on ? $at : null;
    }

    /** °C its hot end is told to reach, as its own screen shows it. */
    public function hotendTarget(): float
    {
        return $this->machine->hotendTarget();
    }

    /** What somebody who stands beside it sees. */
    public function seen(): Seen
    {
        return $this->machine->seen();
    }

    private function serve(): void
    {
        $this->machine->axes->advance($this->now);
        if ($this->storage->printing && ! $this->halted) {
            $this->print();
        }
        if ($this->owed !== '' && ($this->halted || ! $this->machine->occupied($this->now))) {
            $this->out .= $this->halted ? '' : $this->owed;
            $this->owed = '';
        }
        while ($this->waiting !== []) {
            $command = $this->waiting[0];
            if (! $this->halted && ($this->owed !== '' || $this->machine->blocks($command, $this->now))) {
                if ($this->now >= $this->busyFrom + self::BUSY_EVERY) {
                    $this->out .= "echo:busy: processing\n";
                    $this->busyFrom = $this->now;
                }

                return;
            }
            array_shift($this->waiting);
            $this->busyFrom = $this->now;
            $said = $this->answer($command);
            if (! $this->halted && $this->machine->occupied($this->now) && str_ends_with($said, "ok\n")) {
                // firmware acknowledges what takes time when it is done
                $this->owed = "ok\n";
                $said = substr($said, 0, -3);
            }
            $this->out .= $said;
        }
    }

    private function print(): void
    {
        for ($i = 0; $i < 40; $i++) {
            $line = $this->storage->peek();
            if ($line === null) {
                if ($this->machine->axes->idle()) {
                    $this->storage->printing = false;
                    $this->out .= "Done printing file\n";
                }

                return;
            }
            if ($this->machine->blocks($line, $this->now)) {
                return;
            }
            $this->storage->next();
            $said = trim((string) preg_replace('/^ok\b.*$/m', '', $this->machine->execute($line, $this->now)));
            $this->out .= $said === '' ? '' : "{$said}\n";
        }
    }

    private function answer(string $command): string
    {
        if ($this->halted) {
            if (preg_match('/^M999\b/i', $command) === 1) {
                $this->restart();

                return "ok\n";
            }

            return "Error:Printer halted. kill() called!\n";
        }
        if ($this->storage->writing !== null) {
            return preg_match('/^M29\b/i', $command) === 1 ? $this->storage->close()."ok\n" : $this->storage->write($command);
        }
        if ($this->numbers->guards && preg_match('/^M86\b.*?S(\d+)/i', $command, $found) === 1) {
            $this->guardsAfter = (float) $found[1];

            return "ok\n";
        }
        if (preg_match('/^M(155|20|23|24|25|26|27|28|30)\b\s*(.*)$/i', $command, $found) === 1) {
            return $this->own((int) $found[1], trim($found[2]));
        }

        return $this->machine->execute($command, $this->now);
    }

    private function own(int $code, string $rest): string
    {
        if ($code === 155) {
            $seconds = preg_match('/S(\d+)/i', $rest, $found) === 1 ? (int) $found[1] : 0;
            $this->reportEvery = (float) $seconds;
            $this->nextReport = $seconds > 0 ? $this->now + $seconds : INF;

            return "ok\n";
        }

        return $this->storage->command($code, $rest)."ok\n";
    }

    private function halt(string $why): void
    {
        $this->halted = true;
        $this->machine->allOff($this->now);
        $this->storage->printing = false;
        $this->waiting = [];
        $this->owed = '';
        $this->out .= "Error:{$why}, system stopped!\nError:Printer halted. kill() called!\n";
    }

    private function restart(): void
    {
        $this->machine->reset($this->now);
        $this->halted = false;
        $this->storage->printing = false;
        $this->storage->writing = null;
        $this->waiting = [];
        $this->owed = '';
        $this->lines->last = 0;
        $this->nextReport = INF;
        $this->out .= "start\n";
    }
}
