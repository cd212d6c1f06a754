<?php

declare(strict_types=1);

namespace OddBench\Rig;

/** Lines as they come over a serial link: numbered and summed, or plain. */
final class Lines
{
    private const LONGEST = 4096;

    private string $open = '';

    public int $last = 0;

    /** @return list<string> complete lines, without comments and blanks around them */
    public function take(string $bytes): array
    {
        $this->open .= $bytes;
        $parts = preg_split('/\r\n|\n|\r/', $this->open) ?: [];
        $this->open = (string) array_pop($parts);
        if (strlen($this->open) > self::LONGEST) {
            $this->open = '';
        }
        $lines = array_map(static fn (string $line): string => trim((string) preg_replace('/;.*$/', '', $line)), $parts);

        return array_values(array_filter($lines, static fn (string $line): bool => $line !== ''));
    }

    /**
     * Takes number and sum off a line.
     *
     * @return array{string|null, string} the command, or nothing and what is answered
     */
    public function check(string $line): array
    {
        if (preg_match('/^N(\d+)\s*(.*?)\s*(?:\*(\d+))?$/i', $line, $found) !== 1) {
            $star = strrpos($line, '*');

            return [$star === false ? $line : substr($line, 0, $star), ''];
        }
        $number = (int) $found[1];
        $sum = isset($found[3]) ? (int) $found[3] : null;
        $star = strrpos($line, '*');
        $xor = 0;
        foreach (str_split(substr($line, 0, $star === false ? strlen($line) : $star)) as $byte) {
            $xor ^= ord($byte);
        }
        if ($sum === null || $sum !== $xor) {
            return [null, $this->again($sum === null ? 'No Checksum with line number' : 'checksum mismatch')];
        }
        if (preg_match('/^M110\b(?:\s*N(\d+))?/i', $found[2], $set) === 1) {
            $this->last = isset($set[1]) ? (int) $set[1] : $number;

            return ['M110', ''];
        }
        if ($number !== $this->last + 1) {
            return [null, $this->again('Line Number is not Last Line Number+1')];
        }
        $this->last = $number;

        return [$found[2], ''];
    }

    private function again(string $why): string
    {
        return "Error:{$why}, Last Line: {$this->last}\nResend: ".($this->last + 1)."\nok\n";
    }
}
