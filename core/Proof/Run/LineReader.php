<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/** Cuts what a printer sends into lines, whatever comes: garbage is dropped, a line that never ends is forgotten. */
final class LineReader
{
    private const LONGEST = 1024;

    private string $open = '';

    private bool $skipping = false;

    /** @return list<string> lines without control characters; empty ones are left out */
    public function take(string $bytes): array
    {
        $parts = explode("\n", str_replace("\r", "\n", $this->open.$bytes));
        $this->open = array_pop($parts);
        if ($this->skipping && $parts !== []) {
            array_shift($parts);
            $this->skipping = false;
        }
        if (strlen($this->open) > self::LONGEST) {
            $this->open = '';
            $this->skipping = true;
        }
        $lines = [];
        foreach ($parts as $part) {
            if (strlen($part) <= self::LONGEST) {
                $line = trim((string) preg_replace('/[^\x20-\x7E]/', '', $part));
                if ($line !== '') {
                    $lines[] = $line;
                }
            }
        }

        return $lines;
    }
}
