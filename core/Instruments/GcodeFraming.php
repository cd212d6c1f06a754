<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** What stands around a command on the line: comments, a line number before it, a checksum behind it. */
final class GcodeFraming
{
    private ?int $last = null;

    /** @var list<array{string, string}> kind, message */
    private array $wrong = [];

    /** The command without all that; empty when there is none. */
    public function bare(string $line): string
    {
        $this->wrong = [];
        $end = strpos($line, ';');
        $code = $end === false ? $line : substr($line, 0, $end);
        if (str_contains($code, '*')) {
            $code = $this->checked($code);
        }
        if (str_contains($code, '(')) {
            $code = (string) preg_replace('/\([^)]*\)/', '', $code);
        }
        $code = trim($code);

        return $code !== '' && ($code[0] === 'N' || $code[0] === 'n') ? $this->numbered($code) : $code;
    }

    /** @return list<array{string, string}> kind and message of what was wrong with the last line */
    public function wrong(): array
    {
        return $this->wrong;
    }

    /** The checksum is the exclusive or of all bytes before the star. */
    private function checked(string $code): string
    {
        $star = (int) strrpos($code, '*');
        $before = substr($code, 0, $star);
        $told = trim(substr($code, $star + 1));
        $sum = 0;
        for ($i = 0, $n = strlen($before); $i < $n; $i++) {
            $sum ^= ord($before[$i]);
        }
        if ($told !== (string) $sum) {
            $this->wrong[] = ['checksum', "The checksum {$told} is not the line’s {$sum}."];
        }

        return $before;
    }

    private function numbered(string $code): string
    {
        if (preg_match('/^[Nn](\d+)\s*/', $code, $found) !== 1) {
            return $code;
        }
        $told = (int) $found[1];
        $rest = substr($code, strlen($found[0]));
        if ($this->last !== null && $told !== $this->last + 1 && ! str_starts_with($rest, 'M110')) {
            $this->wrong[] = ['line-number', "Line number {$told} comes after {$this->last}."];
        }
        $this->last = $told;

        return $rest === '' ? 'M110' : $rest;
    }
}
