<?php

declare(strict_types=1);

namespace OddBench\Stock;

/** What the parts in use say of themselves: so many are going to fail until a new order is here. */
final readonly class Foretold
{
    /**
     * @param  float  $expected  to fail until then, 0 and up
     * @param  float  $variance  of that, 0 and up
     * @param  int|null  $inUse  how many run; nothing when nobody counted
     */
    public function __construct(public float $expected, public float $variance, public ?int $inUse = null)
    {
    }

    /**
     * Of parts in different places: they fail independently of each other.
     *
     * @param  list<self>  $parts
     */
    public static function together(array $parts): self
    {
        return new self(
            array_sum(array_map(static fn (self $f): float => $f->expected, $parts)),
            array_sum(array_map(static fn (self $f): float => $f->variance, $parts)),
            array_sum(array_map(static fn (self $f): int => $f->inUse ?? 0, $parts)),
        );
    }

    /**
     * Foretold for some spans, asked for another: in between evenly, beyond the last one as the last one goes on.
     *
     * @param  float  $weeks  0 and up
     * @param  non-empty-array<int, self>  $spans  weeks =>, in order, above 0
     */
    public static function within(float $weeks, array $spans): self
    {
        [$from, $before] = [0.0, new self(0.0, 0.0)];
        foreach ($spans as $to => $after) {
            if ($weeks <= $to) {
                $share = ($weeks - $from) / ($to - $from);

                return new self(
                    $before->expected + $share * ($after->expected - $before->expected),
                    $before->variance + $share * ($after->variance - $before->variance),
                    $after->inUse,
                );
            }
            [$from, $before] = [(float) $to, $after];
        }
        $times = $weeks / $from;

        return new self($times * $before->expected, $times * $before->variance, $before->inUse);
    }

    /** As in “2.6 of 20 in use are expected to fail by then”. */
    public function words(): string
    {
        $expected = number_format($this->expected, $this->expected < 10 ? 1 : 0, '.', '');

        return $this->inUse === null
            ? "{$expected} in use are expected to fail by then"
            : "{$expected} of {$this->inUse} in use are expected to fail by then";
    }
}
