<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

use DateTimeZone;
use Psr\Clock\ClockInterface as PsrClockInterface;

/** Stand-in for the interface of the same name; see compat/README.md. */
interface ClockInterface extends PsrClockInterface
{
    public function sleep(float|int $seconds): void;

    public function withTimeZone(DateTimeZone|string $timezone): static;
}
