<?php

declare(strict_types=1);

namespace OddBench\Plan;

use OddBench\Knowledge\Fault;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\State;
use OddBench\Knowledge\Traits;

/** What is to be expected of a machine nobody knows anything of yet: what such machines mostly have, by how often they have it. */
final readonly class UsualMend
{
    /** @param  array<string, float>  $shares  fault => probability, adding up to one, the most frequent first */
    private function __construct(private Knowledge $knowledge, public array $shares)
    {
    }

    public static function of(Knowledge $knowledge, Traits $traits): self
    {
        $possible = array_filter($knowledge->faults, static fn (Fault $fault): bool => $traits->allow($fault->needs));
        $all = array_sum(array_map(static fn (Fault $fault): float => $fault->rate, $possible));
        $shares = $all > 0.0 ? array_map(static fn (Fault $fault): float => $fault->rate / $all, $possible) : [];
        arsort($shares);

        return new self($knowledge, $shares);
    }

    /** Minutes of hands a mend takes on the average, the way into the machine included. */
    public function minutes(): float
    {
        $minutes = $this->knowledge->bench->minutesToReach(State::Open);
        foreach ($this->shares as $code => $share) {
            $minutes += $share * $this->knowledge->faults[$code]->mend()->minutes;
        }

        return $minutes;
    }

    /** The most frequent fault; nothing where no machine can have any. */
    public function mostFrequent(): ?string
    {
        return array_key_first($this->shares);
    }
}
