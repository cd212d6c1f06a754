<?php

declare(strict_types=1);

namespace OddBench\Plan;

use DateTimeImmutable;

/** What a new plan changes for people: who is late now, who is in time again, what is ready at another time. */
final readonly class PlanChange
{
    /** Less is not worth a word. */
    private const WORTH_A_WORD = 30 * 60;

    private const MOST = 6;

    /**
     * @param  list<string>  $costs  what got worse
     * @param  list<string>  $gains  what got better
     */
    private function __construct(public array $costs, public array $gains)
    {
    }

    /**
     * @param  array<array-key, JobEnd>  $before  by job
     * @param  array<array-key, JobEnd>  $after
     */
    public static function of(array $before, array $after): self
    {
        [$costs, $gains] = [[], []];
        foreach ($after as $id => $now) {
            $was = $before[$id] ?? null;
            if ($was === null) {
                continue;
            }
            [$late, $then] = [$now->lateDays(), $was->lateDays()];
            if ($was->ready !== null && $now->ready === null) {
                $costs[] = [0, "{$now->name} is in no plan any more."];
            } elseif ($late > $then) {
                $costs[] = [-100 * ($late - $then), sprintf('%s %s late.', $now->name, $late === 1 ? 'a day' : "{$late} days")];
            } elseif ($then > 0 && $late === 0 && $now->ready !== null) {
                $gains[] = [-100 * $then, "{$now->name} in time again."];
            } elseif ($late < $then) {
                $gains[] = [
                    -100 * ($then - $late),
                    sprintf('%s %s late instead of %d.', $now->name, $late === 1 ? 'a day' : "{$late} days", $then),
                ];
            } elseif ($was->ready === null && $now->ready !== null) {
                $gains[] = [0, sprintf('%s is planned: ready %s.', $now->name, self::when($now->ready))];
            } elseif ($was->ready !== null) {
                $by = $now->ready->getTimestamp() - $was->ready->getTimestamp();
                if (abs($by) >= self::WORTH_A_WORD) {
                    $words = sprintf('%s ready %s, not %s.', $now->name, self::when($now->ready), self::when($was->ready));
                    $by > 0 ? $costs[] = [1 - $by / 1e9, $words] : $gains[] = [1 + $by / 1e9, $words];
                }
            }
        }

        return new self(self::first($costs), self::first($gains));
    }

    public function nothing(): bool
    {
        return $this->costs === [] && $this->gains === [];
    }

    private static function when(DateTimeImmutable $at): string
    {
        return $at->format('D H:i');
    }

    /**
     * @param  list<array{int|float, string}>  $lines
     * @return list<string> those that matter most first
     */
    private static function first(array $lines): array
    {
        sort($lines);

        return array_column(array_slice($lines, 0, self::MOST), 1);
    }
}
