<?php

declare(strict_types=1);

namespace App\Intake;

/** What several rooms ask in one request is read once, and again only when one of the tables it came from was written meanwhile. */
final class ReadOnce
{
    /** A process that lives for an hour hears nothing of what others write: what it read is true for so long. */
    private const SECONDS = 2;

    /** @var array<string, array{mixed, array<string, true>, int, int}> what => its value, its tables, the last write by then, when */
    private array $kept = [];

    public function __construct(private readonly TableWatch $watch)
    {
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T
     */
    public function of(string $what, callable $read): mixed
    {
        $kept = $this->kept[$what] ?? null;
        $now = now()->getTimestamp();
        if ($kept === null || $now - $kept[3] > self::SECONDS || $this->watch->writtenSince($kept[1], $kept[2])) {
            $this->kept[$what] = $kept = [...$this->watch->reading($read), $now];
        } else {
            $this->watch->from($kept[1]);
        }
        /** @var T $value */
        $value = $kept[0];

        return $value;
    }
}
