<?php

declare(strict_types=1);

namespace OddBench\Money;

/** What the owner of a machine allowed, and when the shop asks again. */
final readonly class Approval
{
    /** @param  int|null  $upTo  minor units; null where nothing was allowed */
    private function __construct(private ?OwnerSaid $said, private ?int $upTo, private bool $asked)
    {
    }

    /** Nobody was asked: the machine is the shop’s own, or its owner wants no estimate. */
    public static function notAsked(): self
    {
        return new self(null, null, false);
    }

    /** An estimate is with the owner. */
    public static function waiting(): self
    {
        return new self(null, null, true);
    }

    /** @param  int|null  $upTo  minor units, with tax */
    public static function answered(OwnerSaid $said, ?int $upTo): self
    {
        return new self($said, $said === OwnerSaid::DoNotMend ? null : $upTo, true);
    }

    /**
     * Why it is not mended yet; null when it may be.
     *
     * @param  int  $expected  what it is expected to come to now, minor units, with tax
     * @param  bool  $withSums  for whom money is shown
     */
    public function against(int $expected, bool $withSums = false): ?string
    {
        return match (true) {
            ! $this->asked => null,
            $this->said === null => 'Its owner was asked and has not answered. Note the answer, or withdraw the estimate.',
            $this->said === OwnerSaid::DoNotMend => 'Its owner does not want it mended: send it out unmended, or ask again.',
            ! $this->over($expected) => null,
            default => sprintf(
                'It is found dearer%s. Ask again, or withdraw the estimate: then the shop bears what is over.',
                $withSums
                    ? sprintf(': about %s, and its owner allowed %s', Price::words($expected), Price::words((int) $this->upTo))
                    : ' than its owner allowed',
            ),
        };
    }

    /**
     * What is asked before a part is taken that lifts the job over what was allowed; null when it does not.
     *
     * @param  int  $sum  what the job comes to with it, minor units, with tax
     */
    public function asksAt(int $sum): ?string
    {
        return $this->said !== null && $this->said !== OwnerSaid::DoNotMend && $this->over($sum)
            ? 'With this the job comes to more than its owner allowed. Ask the owner again first, or go on and the shop bears what is over.'
            : null;
    }

    /** What is left of what was allowed, minor units; null where nothing was. */
    public function left(int $sum): ?int
    {
        return $this->upTo === null ? null : $this->upTo - $sum;
    }

    private function over(int $sum): bool
    {
        return $this->upTo !== null && $sum > $this->upTo;
    }
}
