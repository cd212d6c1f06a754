<?php

declare(strict_types=1);

namespace App\Intake;

/** What several rooms ask in one request is read once, and again only when one of the tables it came from was written meanwhile. */
final class ReadOnce
{
    /** @var array<string, array{mixed, array<string, true>, int}> what => its value, its tables, the last write by then */
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
        if ($kept === null || $this->watch->writtenSince($kept[1], $kept[2])) {
            $this->kept[$what] = $kept = $this->watch->reading($read);
        } else {
            $this->watch->from($kept[1]);
        }
        /** @var T $value */
        $value = $kept[0];

        return $value;
    }
}
