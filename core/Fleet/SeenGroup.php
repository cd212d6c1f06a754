<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** The parts of a group as they are gathered. */
final class SeenGroup
{
    /** @var list<Life> */
    private array $lives = [];

    /** @var list<string> days */
    private array $failedOn = [];

    /** @var array<string, int> */
    private array $notCounted = [];

    private int $failures = 0;

    public function __construct(public readonly LifeGroup $group)
    {
    }

    public function add(SeenPart $part, Life|NotCounted $life): void
    {
        if ($life instanceof NotCounted) {
            $this->notCounted[$life->value] = ($this->notCounted[$life->value] ?? 0) + 1;

            return;
        }
        $this->lives[] = $life;
        if ($life->failed) {
            $this->failures++;
            $this->failedOn[] = $part->endedOn ?? '';
        }
    }

    /** @return list<Life> */
    public function lives(): array
    {
        return $this->lives;
    }

    /** @return list<Life> those that are not of another group */
    public function without(self $other): array
    {
        $theirs = [];
        foreach ($other->lives as $life) {
            $theirs[spl_object_id($life)] = true;
        }

        return array_values(array_filter($this->lives, static fn (Life $l): bool => ! isset($theirs[spl_object_id($l)])));
    }

    public function failures(): int
    {
        return $this->failures;
    }

    /** @return array<string, int> */
    public function notCounted(): array
    {
        return $this->notCounted;
    }

    /** The day enough had failed to go by this shop alone. */
    public function believedFrom(): ?string
    {
        $days = $this->failedOn;
        sort($days);

        return ($days[WearLife::BELIEVES_ITSELF - 1] ?? '') ?: null;
    }
}
