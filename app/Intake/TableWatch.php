<?php

declare(strict_types=1);

namespace App\Intake;

/**
 * Which tables are asked and which are written, as the questions themselves tell it: what was read before stays true until one of
 * the tables it came from is written.
 */
final class TableWatch
{
    private const WRITES = '/\b(?:insert\s+into|update|delete\s+from|truncate(?:\s+table)?)\s+(?:only\s+)?"?([a-z_]+)/i';

    // behind a comma stands a column more often than a table: one table too many only means one reading too many
    private const READS = '/(?:\bfrom\s|\bjoin\s|,)\s*"?([a-z_]+)/i';

    private int $writes = 0;

    private int $undone = 0;

    /** @var array<string, int> table => the number of the last write to it */
    private array $last = [];

    /** @var array<int, array<string, true>> what is being read just now, the innermost last => its tables */
    private array $reading = [];

    public function heard(string $sql): void
    {
        if (preg_match_all(self::WRITES, $sql, $found) > 0) {
            $this->writes++;
            foreach ($found[1] as $table) {
                $this->last[strtolower($table)] = $this->writes;
            }
        }
        if ($this->reading !== [] && preg_match_all(self::READS, $sql, $found) > 0) {
            $this->from(array_fill_keys(array_map(strtolower(...), $found[1]), true));
        }
    }

    /** What was written is not any more: nothing that was read meanwhile is true. */
    public function undone(): void
    {
        $this->undone = ++$this->writes;
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return array{T, array<string, true>, int} what was read, from which tables, and the number of the last write by then
     */
    public function reading(callable $read): array
    {
        $this->reading[] = [];
        $by = $this->writes;
        try {
            $value = $read();
        } finally {
            $tables = array_pop($this->reading) ?? [];
            $this->from($tables);
        }

        return [$value, $tables, $by];
    }

    /**
     * What is read just now rests on these tables as well: it takes what was read from them before.
     *
     * @param  array<string, true>  $tables
     */
    public function from(array $tables): void
    {
        foreach (array_keys($this->reading) as $i) {
            $this->reading[$i] += $tables;
        }
    }

    /** @param  array<string, true>  $tables */
    public function writtenSince(array $tables, int $write): bool
    {
        if ($this->undone > $write) {
            return true;
        }
        foreach ($tables as $table => $_) {
            if (($this->last[$table] ?? 0) > $write) {
                return true;
            }
        }

        return false;
    }
}
