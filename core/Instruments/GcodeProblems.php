<?php

declare(strict_types=1);

namespace OddBench\Instruments;

/** What is wrong with a G-code file: every kind is counted, the first few of each are told with their line. */
final class GcodeProblems
{
    private const MOST = 40;

    private const MOST_OF_A_KIND = 5;

    /** @var list<array{line: int, kind: string, message: string}> */
    public array $told = [];

    /** @var array<string, int> kind => how often */
    public array $counts = [];

    /** Notes a problem of a kind at a line; of each kind all are counted and some are told. */
    public function add(int $line, string $kind, string $message): void
    {
        $this->counts[$kind] = ($this->counts[$kind] ?? 0) + 1;
        if ($this->counts[$kind] <= self::MOST_OF_A_KIND && count($this->told) < self::MOST) {
            $this->told[] = ['line' => $line, 'kind' => $kind, 'message' => $message];
        }
    }
}
