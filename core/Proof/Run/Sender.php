<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/**
 * Sends numbered lines with their sum, one at a time, and again when the printer asks for it. What would block the printer
 * until a heater is warm (M109, M190, M191) or moves have ended (M400) is never sent: Stop has to be heard.
 */
final class Sender
{
    private const BLOCKING = '/^(M109|M190|M191|M400|M226|M0|M1)\b/i';

    private const MOST_RESENDS = 20;

    private int $number = 0;

    private ?string $open = null;

    private int $resends = 0;

    /** @return string what goes over the wire */
    public function send(string $command): string
    {
        if (preg_match(self::BLOCKING, $command) === 1) {
            throw new \LogicException("“{$command}” would block the printer.");
        }
        $this->resends = 0;
        $this->open = self::summed(++$this->number, $command);

        return $this->open;
    }

    /** Whether a command is open that was not answered. */
    public function waits(): bool
    {
        return $this->open !== null;
    }

    /** The open command was answered. */
    public function done(): void
    {
        $this->open = null;
    }

    /** Numbers begin anew, as after a restart of the printer. */
    public function restart(): string
    {
        $this->number = 0;
        $this->resends = 0;

        return $this->open = self::summed(0, 'M110 N0');
    }

    /**
     * The printer asks for a line again.
     *
     * @return string|null what is sent; nothing when it has been asked for too often, or for another line
     */
    public function again(int $number): ?string
    {
        if ($this->open === null || ++$this->resends > self::MOST_RESENDS) {
            return null;
        }
        if ($number === $this->number) {
            return $this->open;
        }
        // it has lost count: numbering begins where it wants it
        $command = preg_replace(['/^N\d+ /', '/\*\d+\n$/'], '', $this->open);
        $this->number = $number;

        return $this->open = self::summed($number, (string) $command);
    }

    /** @return string|null the same line once more; nothing when that was done too often */
    public function repeat(): ?string
    {
        return $this->again($this->number);
    }

    /** Whether so many resends were asked for that the wire is to blame. */
    public function stormy(): bool
    {
        return $this->resends > self::MOST_RESENDS;
    }

    private static function summed(int $number, string $command): string
    {
        $line = "N{$number} {$command}";
        $sum = 0;
        for ($i = 0, $n = strlen($line); $i < $n; $i++) {
            $sum ^= ord($line[$i]);
        }

        return "{$line}*{$sum}\n";
    }
}
